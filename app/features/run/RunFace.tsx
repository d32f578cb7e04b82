import {
  formatLength,
  formatMinus,
  phaseName,
  type RunClock,
  type RunState,
  spokenLength,
} from "@tonodrome/core";
import { Pressable, Text, View } from "react-native";
import type { KeptRun } from "~/data/runStore";

/** What can be pressed during a run. */
export interface Presses {
  begin: () => void;
  done: () => void;
  skip: () => void;
  more: () => void;
  hold: () => void;
  undo: (() => void) | null;
  end: () => void;
  log: () => void;
  leave: () => void;
}

interface RunFaceProps {
  run: KeptRun["run"];
  state: RunState;
  clock: RunClock;
  trouble: string | null;
  presses: Presses;
  /** The same face is drawn twice: on paper, and in the ink's colour where the ink has risen over it. */
  ground: "paper" | "ink";
}

const TABULAR = { fontVariant: ["tabular-nums" as const] };

/** Less than this ahead or behind is on time, seconds. */
const ON_TIME = 15;

/** Everything on the running screen, in the colours of one ground. */
export function RunFace({ run, state, clock, trouble, presses, ground }: RunFaceProps) {
  const text = ground === "paper" ? "text-ink" : "text-on-fill";
  const now = ground === "paper" ? "text-signal" : "text-on-fill";
  const next = state.splits[state.index + 1]?.drill;
  return (
    <View className="flex-1 p-4">
      <View className="flex-row items-center gap-3">
        <Press label="Leave" sign="←" ground={ground} onPress={presses.leave} narrow />
        <Text className={`flex-1 font-strong text-body ${text}`} numberOfLines={2}>
          {run.athleteName}
        </Text>
        <Text className={`font-figures text-figure ${now}`} style={TABULAR}>
          <Text className="text-lead">start </Text>
          {formatMinus(-clock.untilStart)}
        </Text>
      </View>
      <Text className={`pt-1 font-text text-body ${text}`} numberOfLines={2}>
        {trouble ?? paceWords(state, clock)}
      </Text>
      <View className="min-h-0 flex-1 justify-center overflow-hidden">
        <Middle run={run} state={state} clock={clock} text={text} />
      </View>
      <Text className={`pb-2 font-text text-lead ${text}`} numberOfLines={2}>
        {state.status === "under-way"
          ? next
            ? `Next: ${next.name}, ${formatLength(next.plannedSeconds)}, ${next.intensity} %`
            : `Next: the wait, ${spokenLength(run.plan.waitSeconds)}`
          : " "}
      </Text>
      <Foot state={state} presses={presses} ground={ground} />
    </View>
  );
}

function Middle({
  run,
  state,
  clock,
  text,
}: Pick<RunFaceProps, "run" | "state" | "clock"> & { text: string }) {
  if (state.status === "ready") {
    const [first] = state.splits;
    return (
      <>
        <Text className={`font-strong text-title ${text}`}>Ready to begin</Text>
        <Text className={`font-text text-lead ${text}`}>
          {state.splits.length} drills, {spokenLength(plannedSeconds(state))}. First: {first?.drill.name}
          {first?.drill.place ? `, ${first.drill.place}` : ""}.
        </Text>
        <Text className={`pt-6 font-text text-body ${text}`}>
          Chest pain, faintness, confusion, sharp or growing pain: stop and get help. This plans time and
          gives no medical advice; the venue and those who treat the athlete come first.
        </Text>
      </>
    );
  }
  if (state.status !== "under-way") {
    const ended = state.status === "ended";
    const gone = clock.untilStart <= 0;
    return (
      <>
        <Text className={`font-strong text-title ${text}`}>
          {ended ? "Ended" : gone ? "Started" : "Wait"}
        </Text>
        <Text
          className={`font-figures text-giant wide:text-colossal ${text}`}
          style={TABULAR}
          adjustsFontSizeToFit
          numberOfLines={1}
        >
          {formatLength(Math.abs(clock.untilStart))}
        </Text>
        <Text className={`font-text text-title ${text}`}>
          {ended
            ? "It is in the log."
            : gone
              ? "Safe things first."
              : "Warm clothes on. Keep moving, easily."}
        </Text>
      </>
    );
  }
  const drill = state.splits[state.index]?.drill;
  const over = clock.remaining < 0;
  return (
    <>
      <Text className={`font-strong text-title ${text}`} numberOfLines={2}>
        {drill?.name}
      </Text>
      <Text className={`font-text text-lead ${text}`} numberOfLines={2}>
        {[
          `${state.index + 1} of ${state.splits.length}`,
          drill && drill.phase !== "kit" ? `${drill.intensity} %` : drill ? phaseName(drill.phase) : "",
          drill?.words,
          drill?.place,
        ]
          .filter(Boolean)
          .join(", ")}
      </Text>
      <Text
        className={`font-figures text-giant wide:text-colossal ${text}`}
        style={TABULAR}
        numberOfLines={1}
        role="timer"
      >
        {over ? formatMinus(-clock.remaining) : formatLength(Math.ceil(clock.remaining))}
      </Text>
      <Text className={`font-strong text-title ${text}`} numberOfLines={3}>
        {state.heldSince === null ? drill?.focus : "On hold. The start is not."}
      </Text>
      <Text className="sr-only">{run.title}</Text>
    </>
  );
}

function Foot({ state, presses, ground }: Pick<RunFaceProps, "state" | "presses" | "ground">) {
  const row = "flex-row gap-2 pt-2";
  const undo = presses.undo;
  if (state.status === "ready") {
    return (
      <View className={row}>
        <Press label="Begin" ground={ground} onPress={presses.begin} full tall />
      </View>
    );
  }
  if (state.status !== "under-way") {
    return (
      <View className={row}>
        {undo && state.status === "waiting" ? <Press label="Undo" ground={ground} onPress={undo} /> : null}
        {state.status === "ended" ? (
          <Press label="See it in the log" ground={ground} onPress={presses.log} full tall />
        ) : (
          <Press label="End the run" ground={ground} onPress={presses.end} full tall />
        )}
      </View>
    );
  }
  const isHeld = state.heldSince !== null;
  return (
    <View>
      <View className={row}>
        <View className="flex-[2]">
          <Press label="Done" ground={ground} onPress={presses.done} full tall />
        </View>
        <Press label="+30 s" ground={ground} onPress={presses.more} tall />
      </View>
      <View className={row}>
        <Press label={isHeld ? "Go on" : "Hold"} ground={ground} onPress={presses.hold} full={isHeld} />
        <Press label="Skip" ground={ground} onPress={presses.skip} />
        <Press label="Undo" ground={ground} onPress={undo ?? (() => {})} disabled={!undo} />
        <Press label="End" ground={ground} onPress={presses.end} />
      </View>
    </View>
  );
}

interface PressProps {
  label: string;
  ground: "paper" | "ink";
  onPress: () => void;
  /** Filled with the ground's own ink. */
  full?: boolean;
  tall?: boolean;
  narrow?: boolean;
  /** Shown instead of the label. */
  sign?: string;
  disabled?: boolean;
}

const LOOKS = {
  paper: { full: "bg-press", fullText: "text-on-press", edge: "border-press", text: "text-ink" },
  ink: { full: "bg-on-fill", fullText: "text-fill", edge: "border-on-fill", text: "text-on-fill" },
};

/** A press for cold hands: 64 px and more. */
function Press({ label, ground, onPress, full, tall, narrow, sign, disabled }: PressProps) {
  const look = LOOKS[ground];
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      onPress={onPress}
      tabIndex={ground === "paper" ? 0 : -1}
      className={`min-h-run min-w-run items-center justify-center border-2 px-1 ${narrow ? "" : "flex-1"} ${tall ? "h-[84px]" : ""} ${look.edge} ${full ? look.full : ""} ${disabled ? "opacity-40" : ""}`}
    >
      <Text
        className={`font-strong ${tall ? "text-title" : "text-lead"} ${full ? look.fullText : look.text}`}
      >
        {sign ?? label}
      </Text>
    </Pressable>
  );
}

function paceWords(state: RunState, clock: RunClock): string {
  if (state.status === "waiting" || state.status === "ended") return " ";
  const { ahead } = clock;
  if (Math.abs(ahead) < ON_TIME) return "On time";
  return ahead > 0 ? `${formatLength(ahead)} ahead` : `${formatLength(-ahead)} behind`;
}

function plannedSeconds(state: RunState): number {
  return state.splits.reduce((sum, s) => sum + s.plannedSeconds, 0);
}
