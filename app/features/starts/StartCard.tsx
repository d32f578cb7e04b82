import { flooredLength, sessionKindOf, sessionName, spokenLength } from "@tonodrome/core";
import type { OpenRun, Start } from "@tonodrome/core/api";
import { Link } from "expo-router";
import { lazy, memo, Suspense, useEffect, useRef, useState } from "react";
import { Text, View } from "react-native";
import { useMay, useMembership } from "~/data/account/useAccount";
import { useNowNear } from "~/data/client/useNow";
import { dropSight, MOMENT } from "~/data/device/sight";
import { useEvents } from "~/data/resources/events";
import { useRunElsewhere } from "~/data/resources/openRuns";
import { useKeptRun, useOpenRun } from "~/data/runs/useRuns";
import { StateLine } from "~/features/judge/StateLine";
import { WholeRise } from "~/features/rise/WholeRise";
import { useStartRun } from "~/features/run/useStartRun";
import { Button } from "~/ui/Button";
import { clockTime, dayName, foreignZone } from "~/ui/dates";
import { Icon } from "~/ui/Icon";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { type DayAxis, isOnAxis } from "./dayAxis";
import { IfThrough } from "./IfThrough";
import { listedTime } from "./listedTime";
import { OpenLists } from "./OpenLists";
import { RiseOnClock } from "./RiseOnClock";
import { availableFor, momentsOf, type StartView, startView } from "./startView";
import { undoMove, undoWords } from "./undoMove";
import { useGlance } from "./useGlance";

const MoveStart = lazy(() => import("./MoveStart").then((m) => ({ default: m.MoveStart })));

interface StartCardProps {
  start: Start;
  /** The club's starts, this one among them: what the same athlete starts before counts. */
  others: readonly Start[];
  /** The next one has its numbers larger. */
  first: boolean;
  /** The clock that the day's starts stand on together; null where each has its own. */
  axis?: DayAxis | null;
  /** Told which start is being moved, and with null when it is no more: the list keeps its order until then. */
  onMoving?: (id: string | null) => void;
}

/** One start: who, what, where, when to begin, how it stands, and the two taps that move it. */
export const StartCard = memo(function StartCard({
  start,
  others,
  first,
  axis = null,
  onMoving,
}: StartCardProps) {
  const near = useRef<readonly number[]>([]);
  const now = useNowNear(() => near.current);
  const [moving, setMoving] = useState(false);
  /** The start as it was before it was moved here; null where it was not. */
  const [before, setBefore] = useState<Start | null>(null);
  const openRun = useOpenRun(start);
  const elsewhere = useRunElsewhere(start.id);
  const goesOn = openRun !== null || elsewhere !== null;
  // One that was only opened here has not begun.
  const begun = useKeptRun(openRun ?? "")?.events.find((e) => e.kind === "begin")?.at ?? null;
  const mayRun = useMay("run");
  const mayBuild = useMay("build");
  const { startRun, failure: runFailure } = useStartRun();
  const event = useEvents().data?.find((e) => e.id === start.eventId) ?? null;
  const available = availableFor(start, now);
  const over = Date.parse(start.startsAt) <= now - 1000;
  const isEmpty = start.plan.body.items.length === 0;
  const { glance, failure } = useGlance(start, over || isEmpty ? null : available, others);
  const view = startView(start, now, glance);
  near.current = momentsOf(start, view);
  // What is known of it stands, though it could not be computed anew.
  const trouble = runFailure ?? (glance ? null : failure);
  const isKnown = glance !== null || failure !== null || over || isEmpty;
  useEffect(() => {
    if (first && isKnown) dropSight();
  }, [first, isKnown]);
  const run = () => startRun({ start, plan: start.plan.body, fit: available, event });
  const zone = foreignZone(start.zone);
  const day = dayName(start.startsAt, start.zone, now);
  const listed = listedTime(start);
  return (
    <View
      role="group"
      aria-label={`${start.athlete.name}, ${start.title}`}
      dataSet={{ start: start.id }}
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
            {sessionKindOf(start.setting) === "competition" ? null : (
              <Text className="font-text text-small text-muted">
                {sessionName(sessionKindOf(start.setting))}
              </Text>
            )}
            {start.group ? (
              <Text className="font-text text-small text-muted">Group of {start.group.length}</Text>
            ) : null}
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
          failed={failure !== null}
          over={over}
          now={now}
          axis={axis && isOnAxis(start, axis) ? axis : null}
          running={begun || elsewhere ? runningWords(start, begun, elsewhere) : null}
        />
        {over ? null : <OpenLists startId={start.id} />}
      </Link>
      {start.setting.ifThrough ? <IfThrough start={start} mayBuild={mayBuild} /> : null}
      <View className="flex-row flex-wrap items-center gap-2 pt-2">
        {openRun ? (
          <GoLink href={`/run/${openRun}`} label="Back to the run" />
        ) : elsewhere ? (
          <GoLink href={`/run/${elsewhere.id}`} label="Follow the run" />
        ) : first ? (
          <GoLink href={`/start/${start.id}`} label={words.warmUp} />
        ) : null}
        {mayRun && !goesOn && !over && (glance?.workSeconds ?? 0) > 0 ? (
          <Button label={words.run} icon="run" onPress={run} />
        ) : null}
        {mayRun ? (
          <Button
            label={moving ? "Done moving" : "Move start"}
            short={moving ? "Done" : "Move"}
            icon={moving ? "fold" : "unfold"}
            onPress={() => {
              setMoving(!moving);
              onMoving?.(moving ? null : start.id);
            }}
          />
        ) : null}
        <DayLink start={start} />
        {start.order ? <OrderLink order={start.order} /> : null}
        {before && !moving ? <UndoMove start={start} before={before} onDone={() => setBefore(null)} /> : null}
      </View>
      {trouble && !over ? <Notice warn text={trouble} /> : null}
      {moving ? (
        <Suspense fallback={null}>
          <MoveStart start={start} before={before} onMoved={setBefore} />
        </Suspense>
      ) : null}
    </View>
  );
});

/** Puts a start back to where it was before it was moved here, however often that was. */
function UndoMove({ start, before, onDone }: { start: Start; before: Start; onDone: () => void }) {
  const { id: clubId } = useMembership();
  return (
    <Button
      label={undoWords(before)}
      icon="undo"
      onPress={() => {
        undoMove(clubId, start, before);
        onDone();
      }}
    />
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

/** The whole day of a start. */
function DayLink({ start }: { start: Start }) {
  return (
    <Link
      href={`/day/${start.id}`}
      aria-label={`${words.day} of ${start.athlete.name}, ${start.title}`}
      className="flex min-h-press min-w-press flex-row items-center justify-center border-2 border-press px-2"
    >
      <Icon name="day" size={22} color="press" />
    </Link>
  );
}

/** The running order that a start stands in. Starts that were kept on the device before there were orders have none. */
function OrderLink({ order: { id, number } }: { order: NonNullable<Start["order"]> }) {
  return (
    <Link
      href={`/order/${id}`}
      aria-label={`${words.runningOrder}, number ${number}`}
      className="flex min-h-press min-w-press flex-row items-center justify-center border-2 border-press px-2"
    >
      <Text className="font-strong text-body text-press">No. {number} in the order</Text>
    </Link>
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
  /** Whether the fit will not be known. */
  failed: boolean;
  over: boolean;
  now: number;
  axis: DayAxis | null;
  /** That it is run right now, by whom and since when; null when it is not. */
  running: string | null;
}

/** What is not known yet keeps the room of what will be said, pixels. */
const UNKNOWN = 84;

/** "Running since 13:02, by Bo Larch." */
function runningWords({ zone }: Start, begun: string | null, run: OpenRun | null): string {
  const beganAt = run?.beganAt ?? begun;
  const since = beganAt ? ` since ${clockTime(beganAt, zone)}` : "";
  return `Running${since}${run?.by ? `, by ${run.by}` : ""}`;
}

function Standing({ start, view, failed, over, now, axis, running }: StandingProps) {
  if (over) {
    return (
      <Text className="pt-1 font-text text-body text-muted" dataSet={MOMENT}>
        Started {flooredLength(-view.untilStart)} ago
      </Text>
    );
  }
  if (start.plan.body.items.length === 0) {
    return <Text className="pt-1 font-strong text-body text-ink">No warm-up yet. Open it to build one.</Text>;
  }
  const { beginsAt, untilBegin, glance } = view;
  if (running)
    return (
      <Text className="pt-1 font-strong text-body text-ink" testID="running">
        {running}
      </Text>
    );
  const available = `${spokenLength(Math.floor(view.availableSeconds / 60) * 60)} available`;
  if (!glance)
    return (
      <View className="pt-1" style={{ minHeight: UNKNOWN }}>
        <Text className="font-text text-body text-ink">
          {failed ? "not fitted" : "fitting …"}, {available}
        </Text>
      </View>
    );
  const begin = untilBegin > 0 ? `Begin at ${clockTime(beginsAt, start.zone)}` : "Begin now";
  return (
    <View className="pt-1">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Text className={`text-body text-ink ${untilBegin > 0 ? "font-text" : "font-strong"}`}>
          {begin}
          {untilBegin > 0 ? <Text dataSet={MOMENT}>, in {flooredLength(untilBegin)}</Text> : null}
        </Text>
        <Text className={`text-body text-ink ${glance.fits ? "font-text" : "font-strong"}`}>
          {glance.word}
          <Text dataSet={MOMENT}>, {available}</Text>
        </Text>
      </View>
      {axis ? (
        <RiseOnClock axis={axis} start={start} segments={glance.segments} now={now} />
      ) : (
        <WholeRise segments={glance.segments} />
      )}
      {glance.state ? <StateLine line={glance.state} /> : null}
      <Latest start={start} view={view} now={now} />
      {glance.fits ? null : (
        <Text className="font-text text-small text-muted" numberOfLines={2}>
          {glance.givenUp}
        </Text>
      )}
    </View>
  );
}
