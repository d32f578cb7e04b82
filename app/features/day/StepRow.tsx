import { roundLength, spokenLength } from "@tonodrome/core";
import type { Glance } from "@tonodrome/core/judge";
import { memo } from "react";
import { Text, View } from "react-native";
import { WholeRise } from "~/features/rise/WholeRise";
import { clockTime } from "~/ui/dates";
import { PlainButton } from "~/ui/PlainButton";
import { Unbroken } from "~/ui/Unbroken";
import type { DayRow } from "./dayRows";

interface StepRowProps {
  row: DayRow;
  zone: string;
  /** The warm-up as it stands, for its own row. */
  glance: Glance | null;
  isNow: boolean;
  selected: boolean;
  onSelect: (id: string) => void;
}

/** A step of the day: when, usually and if it goes badly, what, how long, and whether it has any room. */
export const StepRow = memo(function StepRow({ row, zone, glance, isNow, selected, onSelect }: StepRowProps) {
  const { step, begins, isTight } = row;
  const isStart = step.kind === "start";
  const ink = isStart ? "text-on-signal" : "text-ink";
  const quiet = isStart ? "text-on-signal" : "text-muted";
  const time = (at: number | null) => (at === null ? "–" : clockTime(at, zone));
  const isSame = begins.usual === begins.bad;
  return (
    <View role="listitem">
      <PlainButton
        data-step={step.id}
        aria-pressed={selected}
        aria-label={spoken(row, zone, isNow)}
        onClick={() => onSelect(step.id)}
        className={`flex w-full cursor-pointer items-stretch gap-2 border-0 p-0 text-left ${isStart ? "bg-signal" : "bg-transparent"} ${selected ? "outline outline-[3px] -outline-offset-[3px] outline-current" : ""} ${ink}`}
      >
        <Times usual={time(begins.usual)} bad={isSame ? "" : time(begins.bad)} ink={ink} quiet={quiet} />
        <span
          className={`w-[6px] shrink-0 ${isStart ? "bg-on-signal" : isTight ? "bg-ink" : step.beside ? "" : "bg-line"}`}
          aria-hidden="true"
        />
        <span className="flex min-h-press min-w-0 flex-1 flex-col justify-center py-1 pr-2">
          <span className="flex flex-wrap items-baseline gap-x-2">
            <span
              className={`min-w-0 text-body [overflow-wrap:anywhere] ${isTight || isStart ? "font-strong" : "font-text"}`}
            >
              {step.name}
            </span>
            {isNow ? <span className="bg-ink px-1 font-strong text-small text-paper">now</span> : null}
          </span>
          <span className={`font-text text-small [overflow-wrap:anywhere] ${quiet}`}>
            <Unbroken text={under(row)} />
          </span>
          {step.note ? <span className="font-text text-small">{step.note}</span> : null}
        </span>
      </PlainButton>
      {step.kind === "warm-up" && glance ? (
        <View className="pb-1 pl-[8.5rem] pr-2">
          <WholeRise segments={glance.segments} />
        </View>
      ) : null}
      {row.freeSeconds > 0 ? (
        <Text className="border-l-2 border-dashed border-line py-1 pl-2 font-text text-small text-muted ml-[7.9rem]">
          {wholeMinutes(row.freeSeconds)} free
        </Text>
      ) : null}
    </View>
  );
});

function Times({ usual, bad, ink, quiet }: { usual: string; bad: string; ink: string; quiet: string }) {
  return (
    <span className="flex w-[min(7.4rem,40%)] shrink-0 flex-wrap content-center items-center gap-x-2 pl-2 tabular-nums">
      <span className={`w-[3.2rem] font-figures text-lead ${ink}`}>{usual}</span>
      <span className={`w-[3rem] font-figures text-body ${quiet}`}>{bad}</span>
    </span>
  );
}

/** Seconds are nothing to plan a day by. */
const wholeMinutes = (seconds: number) => spokenLength(Math.max(60, seconds - (seconds % 60)));

/** How long, where, and how much room there is. */
function under({ step, begins, ends, slackSeconds, isTight, isAfter }: DayRow): string {
  const roomWay = isAfter ? "later" : "earlier";
  const long =
    begins.usual === null || ends === null ? step.minutes.usual * 60 : (ends - begins.usual) / 1000;
  const { bad } = step.minutes;
  const parts = [
    long > 0 ? wholeMinutes(long) : "",
    bad !== undefined && bad !== step.minutes.usual ? `badly ${spokenLength(bad * 60)}` : "",
    step.place,
    step.beside ? "beside the rest" : "",
    step.list.length > 0 ? `a list of ${step.list.length}` : "",
    slackSeconds !== null && slackSeconds >= 60 && !isTight
      ? `may be ${roundLength(slackSeconds)} ${roomWay}`
      : "",
  ];
  return parts.filter(Boolean).join(", ");
}

/** All of it for those who listen. */
function spoken(row: DayRow, zone: string, isNow: boolean): string {
  const { step, begins, isTight } = row;
  const at = (ms: number | null) => (ms === null ? "no time" : clockTime(ms, zone));
  const badly = begins.bad === begins.usual ? "" : `, if it goes badly ${at(begins.bad)}`;
  const tight = isTight && step.kind !== "start" ? ", leaves no room" : "";
  return `${step.name}, ${at(begins.usual)}${badly}, ${under(row) || "a moment"}${tight}${isNow ? ", now" : ""}`;
}
