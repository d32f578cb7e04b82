import { contextOf, fitTimeline, givenUpLine, spokenLength } from "@tonodrome/core";
import type { OpenRun, Start } from "@tonodrome/core/api";
import { Link } from "expo-router";
import { memo, useMemo, useState } from "react";
import { Text, View } from "react-native";
import { useMay } from "~/data/account/account";
import { useAthletes } from "~/data/resources/athletes";
import { useEvents } from "~/data/resources/events";
import { useRunElsewhere } from "~/data/resources/openRuns";
import { useMoveStart, useStarts } from "~/data/resources/starts";
import { useKeptRun, useOpenRun } from "~/data/runs/hooks";
import { fitWord } from "~/features/fit/stateWord";
import { useFitAt } from "~/features/fit/useFitAt";
import { StateLine } from "~/features/judge/StateLine";
import { useDoneBefore } from "~/features/judge/useDoneBefore";
import { WholeRise } from "~/features/rise/WholeRise";
import { useStartRun } from "~/features/run/useStartRun";
import { Button } from "~/ui/Button";
import { clockTime, dayName, foreignZone, roughLength } from "~/ui/dates";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { type DayAxis, isOnAxis } from "./dayAxis";
import { listedTime } from "./listedTime";
import { MoveStart } from "./MoveStart";
import { RiseOnClock } from "./RiseOnClock";
import { availableFor, type StartView, startView } from "./startView";

interface StartCardProps {
  start: Start;
  now: number;
  /** The next one has its numbers larger. */
  first: boolean;
  /** The clock that the day's starts stand on together; null where each has its own. */
  axis?: DayAxis | null;
}

/** One start: who, what, where, when to begin, how it stands, and the two taps that move it. */
export const StartCard = memo(function StartCard({ start, now, first, axis = null }: StartCardProps) {
  const [moving, setMoving] = useState(false);
  /** The start as it was before it was moved here; null where it was not. */
  const [before, setBefore] = useState<Start | null>(null);
  const openRun = useOpenRun(start);
  const elsewhere = useRunElsewhere(start.id);
  const goesOn = openRun !== null || elsewhere !== null;
  // One that was only opened here has not begun.
  const begun = useKeptRun(openRun ?? "")?.events.find((e) => e.kind === "begin")?.at ?? null;
  const mayRun = useMay("run");
  const { startRun, failure: runFailure } = useStartRun();
  const event = useEvents().data?.find((e) => e.id === start.eventId) ?? null;
  const context = useMemo(() => contextOf(start), [start]);
  const { profile, isBest, failure } = useFitAt(start.plan.body, context, availableFor(start, now));
  const view = startView(start, now, profile);
  const over = view.untilStart < 0;
  const run = () => startRun({ start, plan: start.plan.body, context, fit: view.fit, isBest, event });
  const zone = foreignZone(start.zone);
  const day = dayName(start.startsAt, start.zone, now);
  const listed = listedTime(start);
  return (
    <View
      role="group"
      aria-label={`${start.athlete.name}, ${start.title}`}
      className="border-t-2 border-line pt-3"
    >
      <Link href={`/start/${start.id}`} className="flex w-full flex-col">
        <View className={`w-full flex-row items-start gap-3 ${over ? "opacity-80" : ""}`}>
          <View className="flex-1">
            <Text className="font-strong text-lead text-ink" numberOfLines={2}>
              {start.athlete.name}
            </Text>
            <Text className="font-text text-body text-muted" numberOfLines={2}>
              {start.title}
            </Text>
            {start.venue ? (
              <Text className="font-text text-small text-muted" numberOfLines={1}>
                {start.venue}
              </Text>
            ) : null}
          </View>
          <View className="items-end">
            <Text
              className={`font-figures text-signal ${first ? "text-huge" : "text-figure"}`}
              style={{ fontVariant: ["tabular-nums"] }}
            >
              {clockTime(start.startsAt, start.zone)}
            </Text>
            <Text className="font-text text-small text-muted">
              {[day === "Today" ? "start" : day, zone ? `${zone} time` : null].filter(Boolean).join(", ")}
            </Text>
            {listed ? <Text className="font-text text-small text-muted">on the list {listed}</Text> : null}
          </View>
        </View>
        <Standing
          start={start}
          view={view}
          isBest={isBest}
          failed={failure !== null}
          over={over}
          now={now}
          axis={axis && isOnAxis(start, axis) ? axis : null}
          running={begun || elsewhere ? runningWords(start, begun, elsewhere) : null}
        />
        {over ? null : <Kit start={start} />}
      </Link>
      <View className="flex-row flex-wrap items-center gap-2 pt-2">
        {openRun ? (
          <GoLink href={`/run/${openRun}`} label="Back to the run" />
        ) : elsewhere ? (
          <GoLink href={`/run/${elsewhere.id}`} label="Follow the run" />
        ) : first ? (
          <GoLink href={`/start/${start.id}`} label="Warm-up" />
        ) : null}
        {mayRun && !goesOn && !over && view.fit.workSeconds > 0 ? (
          <Button label={words.run} icon="run" onPress={run} />
        ) : null}
        {mayRun ? (
          <Button
            label={moving ? "Done moving" : "Move start"}
            icon={moving ? "fold" : "unfold"}
            onPress={() => setMoving(!moving)}
          />
        ) : null}
        {before ? <UndoMove start={start} before={before} onDone={() => setBefore(null)} /> : null}
      </View>
      {(runFailure ?? failure) && !over ? <Notice warn text={(runFailure ?? failure) as string} /> : null}
      {moving ? <MoveStart start={start} onMoved={(was) => setBefore(before ?? was)} /> : null}
    </View>
  );
});

/** Puts a start back to where it was before it was moved here, however often that was. */
function UndoMove({ start, before, onDone }: { start: Start; before: Start; onDone: () => void }) {
  const move = useMoveStart();
  const { startsAt, readyAt, zone } = before;
  return (
    <>
      <Button
        label={`Undo: ${clockTime(startsAt, zone)}`}
        icon="undo"
        disabled={move.isPending}
        onPress={() => move.mutate({ start, startsAt, readyAt }, { onSuccess: onDone })}
      />
      {move.error ? <Notice warn text={`Not moved. ${move.error.message}`} /> : null}
    </>
  );
}

/** The next thing to do, as large as a button. */
function GoLink({ href, label }: { href: `/run/${string}` | `/start/${string}`; label: string }) {
  return (
    <Link href={href} className="flex min-h-press items-center bg-press px-4">
      <Text className="font-strong text-body text-on-press">{label}</Text>
    </Link>
  );
}

/** How much of the event's kit has been checked. */
function Kit({ start }: { start: Start }) {
  const kit = useEvents().data?.find((e) => e.id === start.eventId)?.kit ?? [];
  if (kit.length === 0) return null;
  const open = kit.filter((piece) => !start.setting.kitReady.includes(piece));
  return (
    <Text className="font-text text-small text-muted" numberOfLines={1}>
      {open.length === 0 ? "Kit checked" : `Kit to check: ${open.join(", ")}`}
    </Text>
  );
}

/** The last moments to begin: for all of it, and for what is essential. */
function Latest({ start, view: { latest }, now }: { start: Start; view: StartView; now: number }) {
  const { full, essentials } = latest;
  const parts = [
    full !== null && full > now ? `full ${clockTime(full, start.zone)}` : null,
    essentials !== null && essentials > now ? `essentials only ${clockTime(essentials, start.zone)}` : null,
  ].filter(Boolean);
  if (parts.length === 0) return null;
  return (
    <Text className="font-text text-small text-muted" testID="latest">
      Latest begin: {parts.join(", ")}
    </Text>
  );
}

interface StandingProps {
  start: Start;
  view: StartView;
  isBest: boolean;
  /** Whether the best fit will not be known. */
  failed: boolean;
  over: boolean;
  now: number;
  axis: DayAxis | null;
  /** That it is run right now, by whom and since when; null when it is not. */
  running: string | null;
}

/** "Running since 13:02, by Bo Larch." */
function runningWords({ zone }: Start, begun: string | null, run: OpenRun | null): string {
  const beganAt = run?.beganAt ?? begun;
  const since = beganAt ? ` since ${clockTime(beganAt, zone)}` : "";
  return `Running${since}${run?.by ? `, by ${run.by}` : ""}`;
}

function Standing({ start, view, isBest, failed, over, now, axis, running }: StandingProps) {
  const before = useDoneBefore(start, useStarts().data).done;
  const { fit } = view;
  const segments = useMemo(() => fitTimeline(fit), [fit]);
  const training = useAthletes().data?.find((a) => a.id === start.athlete.id)?.profile ?? null;
  if (over) {
    return (
      <Text className="pt-1 font-text text-body text-muted">Started {roughLength(-view.untilStart)} ago</Text>
    );
  }
  if (start.plan.body.items.length === 0) {
    return <Text className="pt-1 font-strong text-body text-ink">No warm-up yet. Open it to build one.</Text>;
  }
  const { beginsAt, untilBegin } = view;
  if (running)
    return (
      <Text className="pt-1 font-strong text-body text-ink" testID="running">
        {running}
      </Text>
    );
  const begin =
    untilBegin > 0
      ? `Begin at ${clockTime(beginsAt, start.zone)}, in ${roughLength(untilBegin)}`
      : "Begin now";
  return (
    <View className="pt-1">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Text className={`text-body text-ink ${untilBegin > 0 ? "font-text" : "font-strong"}`}>{begin}</Text>
        <Text className={`text-body text-ink ${fit.state === "fits" ? "font-text" : "font-strong"}`}>
          {fitWord(fit, start.plan.body.stepPoints, { isBest, failed })},{" "}
          {spokenLength(Math.floor(view.availableSeconds / 60) * 60)} available
        </Text>
      </View>
      {axis ? (
        <RiseOnClock axis={axis} start={start} segments={segments} now={now} />
      ) : (
        <WholeRise segments={segments} />
      )}
      <StateLine fit={fit} conditions={start.setting} training={training} before={before} />
      <Latest start={start} view={view} now={now} />
      {fit.state === "fits" ? null : (
        <Text className="font-text text-small text-muted" numberOfLines={2}>
          {givenUpLine(fit, start.plan.body.stepPoints)}
        </Text>
      )}
    </View>
  );
}
