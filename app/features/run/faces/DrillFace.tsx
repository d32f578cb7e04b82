import {
  breathAt,
  type Called,
  type CallNow,
  callAt,
  calledLine,
  cautionFor,
  formatLength,
  formatMinus,
  partAt,
  phaseName,
  runDrills,
} from "@tonodrome/core";
import type { FaceModel } from "./faceModel";
import { Timer } from "./Timer";

/** The drill under way: what it is, how long it still takes, where in it one is, and what to attend to. */
export function DrillFace({ model, text }: { model: FaceModel; text: string }) {
  const { run, plan, state, clock, settings } = model;
  const split = state.splits[state.index];
  if (!split) return null;
  const { drill, plannedSeconds } = split;
  const drills = runDrills(state.splits);
  const part = partAt(drill.parts ?? [], clock.elapsed);
  const counted = part && (part.many > 1 || part.rep !== null) ? part : null;
  const held = state.heldSince !== null;
  const call = held ? null : callAt(split, clock.elapsed, run.id);
  const caution = settings.bigType || drill.wait ? null : cautionFor(plan, drill);
  return (
    <div className="break-words">
      <div className={`run-name line-clamp-2 font-strong text-title ${text}`}>{drill.name}</div>
      {settings.bigType ? null : (
        <div className={`run-aside line-clamp-2 font-text text-lead ${text}`}>
          {[
            drill.wait ? "" : `${drills.findIndex((d) => d.includes(split)) + 1} of ${drills.length}`,
            drill.wait ? "" : drill.phase === "kit" ? phaseName(drill.phase) : `${drill.intensity} %`,
            // A plain time says nothing that the figures do not.
            drill.words === formatLength(plannedSeconds) ? "" : drill.words,
            drill.place,
          ]
            .filter(Boolean)
            .join(", ")}
        </div>
      )}
      {caution ? (
        <div className={`run-aside line-clamp-2 font-text text-body ${text}`} data-testid="caution">
          {caution}
        </div>
      ) : null}
      <Timer text={text} big={settings.bigType}>
        {clock.remaining < 0 ? formatMinus(-clock.remaining) : formatLength(Math.ceil(clock.remaining))}
      </Timer>
      {drill.called && !held ? <Calling call={call} called={drill.called} text={text} /> : null}
      {counted && !held ? (
        <div className={`line-clamp-2 font-strong text-title ${text}`} data-testid="part">
          {[
            counted.part.words,
            counted.rep !== null && counted.part.reps ? `rep ${counted.rep} of ${counted.part.reps}` : "",
            counted.beat ?? "",
            counted.many > 1 ? formatLength(Math.max(0, Math.ceil(counted.remaining))) : "",
          ]
            .filter(Boolean)
            .join(", ")}
        </div>
      ) : null}
      <div
        className={`run-focus font-strong text-title ${settings.bigType ? "line-clamp-2" : "line-clamp-3"} ${text}`}
      >
        {held
          ? "Paused. Start time unchanged."
          : drill.breath
            ? breathWords(clock.elapsed, drill.focus)
            : drill.focus}
      </div>
    </div>
  );
}

/** What is called now, to be read out across a hall; between two, what may come. */
function Calling({ call, called, text }: { call: CallNow | null; called: Called; text: string }) {
  return call ? (
    <div className={`font-strong text-title ${text}`} data-testid="call">
      {`${call.number}: ${call.name}, ${call.count} of ${call.counts}`}
    </div>
  ) : (
    <div className={`line-clamp-3 font-text text-lead ${text}`} data-testid="call">
      {calledLine(called)}
    </div>
  );
}

/** A cue per breath. */
export function breathWords(elapsed: number, cue: string): string {
  const { phase } = breathAt(elapsed);
  return phase === "in" ? "Breathe in" : `Breathe out${cue ? `. ${cue}` : ""}`;
}
