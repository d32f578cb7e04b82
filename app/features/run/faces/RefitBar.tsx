import { spokenLength } from "@tonodrome/core";
import { type Ground, Press, WORDS } from "~/features/run/presses/Press";
import type { Presses } from "~/features/run/presses/usePresses";
import type { FaceModel } from "./faceModel";

interface RefitBarProps {
  model: FaceModel;
  presses: Presses;
  ground: Ground;
  onLeave: () => void;
}

/** What the rest of the run could be, in one line, and the press that makes it so. */
export function RefitBar({ model, presses, ground, onLeave }: RefitBarProps) {
  const { offer, applied } = model;
  const { text } = WORDS[ground];
  const edge = ground === "paper" ? "border-press" : "border-on-fill";
  if (applied && !offer) {
    return <div className={`line-clamp-2 pb-1 font-text text-body ${text}`}>Plan adjusted. {applied}</div>;
  }
  if (!offer || model.presses !== "all") return null;
  const { refit, reason } = offer;
  return (
    <div
      className={`border-x-0 border-b-0 border-t-2 border-solid pt-2 ${edge}`}
      data-testid={ground === "paper" ? "refit" : undefined}
    >
      <div
        className={`line-clamp-4 font-strong text-body ${text}`}
        role={ground === "paper" ? "alert" : undefined}
      >
        {reason}. {shortWords(refit)}
        {refit.line}
      </div>
      <div className="flex gap-2 pt-2">
        <div className="flex flex-[2] flex-col">
          <Press label="Adjust plan" ground={ground} onPress={() => presses.refit(refit)} full />
        </div>
        <Press label="Keep plan" ground={ground} onPress={onLeave} />
      </div>
    </div>
  );
}

function shortWords({ state, missingSeconds }: NonNullable<FaceModel["offer"]>["refit"]): string {
  if (state !== "short") return "";
  return missingSeconds > 0
    ? `The essentials are ${spokenLength(missingSeconds)} short; at best: `
    : "The essentials no longer fit; at best: ";
}
