import {
  calledLine,
  formatLength,
  gateTally,
  groupStand,
  listOf,
  type RunEvent,
  type RunPlan,
  type RunState,
  runDay,
  runState,
  runSummary,
  runTimeline,
  type Split,
  sessionKindOf,
  sessionName,
} from "@tonodrome/core";
import { Text, View } from "react-native";
import { clockWords } from "~/data/client/clock";
import { useNow } from "~/data/client/useNow";
import { WholeRise } from "~/features/rise/WholeRise";
import { clockTime, dayName } from "~/ui/dates";
import { Notice } from "~/ui/layout/Notice";
import { toneClasses } from "~/ui/tone";
import { words } from "~/ui/words";

/** A run as the log has it. */
export interface Logged {
  athleteName: string;
  title: string;
  venue: string;
  zone: string;
  plan: RunPlan;
  events: RunEvent[];
}

/** What it was before, where that was not a competition. */
function kindWords({ conditions }: RunPlan): string {
  const kind = sessionKindOf(conditions ?? {});
  return kind === "competition" ? "" : sessionName(kind).toLowerCase();
}

/** One run: planned and real time for each drill. @param sent whether all of it is in the club's log */
export function RunRecord({ run, sent }: { run: Logged; sent: boolean }) {
  const now = useNow(60_000);
  const state = runState(run.plan, run.events);
  const summary = runSummary(run.plan, run.events);
  const longest = Math.max(1, ...state.splits.map((s) => Math.max(s.plannedSeconds, s.realSeconds ?? 0)));
  // As it was done, up to the start as it was in the end.
  const segments = runTimeline(state, now).filter((s) => s.fromSeconds < 0);
  const at = summary.beganAt ?? run.plan.startsAt;
  return (
    <>
      {sent ? null : (
        <Notice text="Kept on this device; it goes to the club's log as soon as the server can be reached." />
      )}
      <Text className="font-text text-body text-ink">
        {[
          `${dayName(at, run.zone, now)} ${clockTime(at, run.zone)}`,
          run.venue,
          kindWords(run.plan),
          `${formatLength(summary.realSeconds)} of ${formatLength(summary.plannedSeconds)} planned`,
          `${summary.done} done`,
          summary.skipped > 0 ? `${summary.skipped} skipped` : "",
        ]
          .filter(Boolean)
          .join(", ")}
      </Text>
      <WholeRise segments={segments} />
      <Answers state={state} run={run} />
      <GroupLines state={state} run={run} />
      <View role="list" aria-label={words.drills}>
        {state.splits.map((split, i) => (
          <SplitRow
            key={split.key}
            split={split}
            longest={longest}
            wasLast={state.status === "ended" && i === state.index}
          />
        ))}
      </View>
    </>
  );
}

/** What was answered after the start, and what the day did to the plan. */
function Answers({ state, run }: { state: RunState; run: Logged }) {
  const { rating, refits, startsAt, clockAhead } = state;
  const { moves, rates } = runDay(run.events);
  const moved = Math.round((startsAt - Date.parse(run.plan.startsAt)) / 60_000);
  const lines = [
    rating?.ready ? `Ready: ${rating.ready} of 5.` : "",
    rating?.first ? `First: ${rating.first}.` : "",
    rating?.note ?? "",
    ...refits.map((r) => `Plan adjusted: ${r.line || "the waits only."}`),
    moves.times === 0
      ? ""
      : `The start moved ${moves.times === 1 ? "once" : `${moves.times} times`}, by ${moved > 0 ? "+" : moved < 0 ? "−" : ""}${Math.abs(moved)} min in all${simulatedWords(moves)}.`,
    rates ? `Heart rate ${rates.least} to ${rates.most} a minute${simulatedWords(rates)}.` : "",
    clockWords(clockAhead)
      ? `The device's clock was wrong by ${Math.abs(clockAhead)} s and was corrected.`
      : "",
  ].filter(Boolean);
  if (lines.length === 0) return null;
  return (
    <View className="gap-1">
      {lines.map((line) => (
        <Text key={line} className="font-text text-body text-ink">
          {line}
        </Text>
      ))}
    </View>
  );
}

/** Who was there of a group, and what some of them sat out. */
function GroupLines({ state, run }: { state: RunState; run: Logged }) {
  const group = groupStand(run.plan, state);
  if (!group) return null;
  const away = group.members.filter((m) => !m.isThere).map((m) => m.name);
  const out = group.members.filter((m) => m.satOut.length > 0);
  const lines = [
    `Group of ${group.members.length}, ${away.length > 0 ? `${group.there} there; missing: ${listOf(away)}.` : "all there."}`,
    ...out.map(({ name, satOut }) => `${name} sat out: ${listOf(satOut)}.`),
  ];
  return (
    <View className="gap-1" testID="group">
      {lines.map((line) => (
        <Text key={line} className="font-text text-body text-ink">
          {line}
        </Text>
      ))}
    </View>
  );
}

/** What a stand-in told is never taken for a record of what was. */
function simulatedWords({ times, simulated }: { times: number; simulated: number }): string {
  if (simulated === 0) return "";
  return simulated === times ? " (simulated)" : " (partly simulated)";
}

/** What a gate reached; nothing where there is none, or nothing was tried. */
function gateWords({ drill: { gate }, tries }: Split): string {
  if (!gate || tries.length === 0) return "";
  const { open, counting, wanted } = gateTally(gate, tries);
  return open ? "passed" : `reached ${counting} of ${wanted}`;
}

const OUTCOMES: Record<Split["outcome"], string> = {
  done: "",
  skipped: "skipped",
  "under-way": "under way",
  pending: "not reached",
};

interface SplitRowProps {
  split: Split;
  /** Of all, seconds. */
  longest: number;
  /** Whether the run was ended while it was under way. */
  wasLast: boolean;
}

function SplitRow({ split, longest, wasLast }: SplitRowProps) {
  const { drill, plannedSeconds, realSeconds, heldSeconds, outcome, tries } = split;
  const hits = tries.filter(Boolean).length;
  const width = (seconds: number) => `${(seconds / longest) * 100}%` as const;
  const off = realSeconds === null ? null : Math.round(realSeconds - plannedSeconds);
  return (
    <View role="listitem" className="gap-1 border-t border-line py-2">
      <View className="flex-row items-baseline gap-2">
        <Text className="flex-1 font-strong text-body text-ink" numberOfLines={2}>
          {drill.name}
        </Text>
        <Text className="font-figures text-body text-ink" style={{ fontVariant: ["tabular-nums"] }}>
          {realSeconds === null ? "–" : formatLength(realSeconds)}
        </Text>
        <Text className="w-24 text-right font-text text-small text-muted">
          {off === null || off === 0 ? "" : `${formatLength(Math.abs(off))} ${off > 0 ? "over" : "under"}`}
        </Text>
      </View>
      <View className="h-2 border-b border-muted" style={{ width: width(plannedSeconds) }} />
      <View
        className={`h-3 ${drill.wait || drill.phase === "kit" ? "border border-dashed border-muted" : toneClasses(drill.intensity).fill}`}
        style={{ width: width(realSeconds ?? 0) }}
      />
      <Text className="font-text text-small text-muted">
        {[
          `planned ${formatLength(plannedSeconds)}`,
          // A plain time says nothing that the planned time has not said.
          drill.words === formatLength(plannedSeconds) ? "" : drill.words,
          wasLast && outcome === "skipped" ? "under way when the run ended" : OUTCOMES[outcome],
          gateWords(split),
          drill.called ? `called: ${calledLine(drill.called)}` : "",
          tries.length > 0 ? `${hits} of ${tries.length} tries hit` : "",
          heldSeconds > 0 ? `held ${formatLength(heldSeconds)}` : "",
        ]
          .filter(Boolean)
          .join(", ")}
      </Text>
    </View>
  );
}
