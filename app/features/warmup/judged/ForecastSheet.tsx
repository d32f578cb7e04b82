import { MINUTE_MS, MINUTE_SECONDS, roundLength } from "@tonodrome/core";
import { LANES, stateSentence, topUpLine } from "@tonodrome/core/forecast";
import type { DoneBefore } from "@tonodrome/core/judge";
import { useMemo, useState } from "react";
import { type LayoutChangeEvent, Text, View } from "react-native";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { LaneChart } from "~/features/forecast/LaneChart";
import { LateTable } from "~/features/forecast/LateTable";
import { EARLIEST, LANE_TITLES, LATEST, momentsOf, POINTS, stateIf } from "~/features/forecast/lanes";
import { Rests } from "~/features/forecast/Rests";
import { useFullJudgement } from "~/features/judge/useJudgement";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { clockTime } from "~/ui/dates";
import { Slider } from "~/ui/fields/Slider";
import { Fold } from "~/ui/layout/Fold";
import { Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

/** What state they will be in: three lanes over the warm-up's own time, and what happens if the start slips. Loaded when it is first opened. */
export default function ForecastSheet({ model }: { model: WarmUpModel }) {
  const { judgeInput, start } = model;
  const { judgement, failure } = useFullJudgement(judgeInput, start, model.drills);
  const forecast = model.judgement?.forecast ?? judgement?.forecast;
  const begin = judgeInput.fit.beginSeconds;
  const moments = useMemo(() => momentsOf(begin), [begin]);
  const ask = useMemo(() => {
    const { fit, setting, athlete, before = [] } = judgeInput;
    return {
      kind: "curves" as const,
      input: { fit, setting, athlete, before },
      times: [...moments.grid, ...moments.starts],
    };
  }, [judgeInput, moments]);
  const { answer: points, failure: drawFailure } = useLatestAnswer(ask);
  const [slip, setSlip] = useState(0);
  const [width, setWidth] = useState(0);
  if (!forecast) return <Loading words="Forecasting …" />;
  const from = moments.grid[0] ?? 0;
  const span = (moments.grid.at(-1) ?? 0) - from;
  const shown = (points && stateIf(points, slip)) ?? forecast.atStart;
  const when = clockTime(Date.parse(start.startsAt) + slip * MINUTE_MS, start.zone);
  const moved = slip === 0 ? "on time" : slip < 0 ? `${-slip} min early` : `${slip} min late`;
  /** The start follows the finger across the lanes. */
  const drag = (event: { clientX: number; currentTarget: HTMLElement; buttons: number }) => {
    if (event.buttons === 0 || width === 0) return;
    const { left } = event.currentTarget.getBoundingClientRect();
    const share = ((event.clientX - left) / width) * (POINTS / (POINTS - 1));
    setSlip(Math.round(Math.min(LATEST, Math.max(EARLIEST, (from + share * span) / MINUTE_SECONDS))));
  };
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink">{stateSentence(forecast)}</Text>
      {judgeInput.before && judgeInput.before.length > 0 ? (
        <Text className="font-text text-body text-ink" testID="done-before">
          Counted as well: what they do earlier on the day, up to {lastOf(judgeInput.before)}.
        </Text>
      ) : null}
      {(failure ?? drawFailure) ? <Notice warn text={(failure ?? drawFailure) as string} /> : null}
      <div
        onPointerDown={drag}
        onPointerMove={drag}
        className="flex cursor-ew-resize touch-pan-y select-none flex-col gap-2"
      >
        <View onLayout={(e: LayoutChangeEvent) => setWidth(e.nativeEvent.layout.width)} />
        {LANES.map((lane) => (
          <View key={lane}>
            <View className="flex-row items-baseline justify-between">
              <Text role="heading" aria-level={3} className="font-strong text-body text-ink">
                {LANE_TITLES[lane]}
              </Text>
              <Text className="font-text text-body text-ink" testID={`lane-${lane}`}>
                {shown.words[lane].word}
              </Text>
            </View>
            {points && width > 0 ? (
              <LaneChart
                lane={lane}
                points={points.slice(0, POINTS)}
                width={width}
                startAt={(slip * MINUTE_SECONDS - from) / span}
              />
            ) : null}
          </View>
        ))}
      </div>
      <View>
        <Text role="status" className="font-figures text-figure text-signal" testID="slip">
          {when}
          <Text className="font-text text-body text-ink"> {moved}</Text>
        </Text>
        <Slider
          label="If the start slips"
          value={slip}
          least={EARLIEST}
          most={LATEST}
          step={1}
          words={`${moved}: ${LANES.map((lane) => shown.words[lane].word).join(", ")}`}
          onChange={setSlip}
        />
      </View>
      <View className="gap-1">
        <Text role="heading" aria-level={3} className="font-strong text-body text-ink">
          {words.ifItIsLate}
        </Text>
        <LateTable forecast={forecast} />
      </View>
      <TopUps model={model} judgement={judgement} slip={slip} />
      {forecast.best ? (
        <Text className="font-text text-body text-ink">
          The wait that suits this plan best is {Math.round(forecast.best.wait.fromSeconds / MINUTE_SECONDS)}{" "}
          to {Math.round(forecast.best.wait.toSeconds / MINUTE_SECONDS)} min;{" "}
          {forecast.best.isNear ? "the start lies within it." : "the start does not lie within it."} Schools
          say: hot, about 5 min; rested, five times the hard work.
        </Text>
      ) : null}
      <Fold title="What this rests on">
        <Rests unknown={forecast.unknown} />
      </Fold>
      <Text className="font-text text-small text-muted">
        For people in general, not for this athlete. It plans time and gives no medical advice.
      </Text>
    </View>
  );
}

/** The last thing done earlier on the day, and how long before the start it ends. */
function lastOf(before: readonly DoneBefore[]): string {
  const last = before.reduce((a, b) => (b.toSeconds > a.toSeconds ? b : a));
  return `${last.name}, ${roundLength(-last.toSeconds)} before this start`;
}

/** What would bring it back for a slip, where that is worth it: for the one that is shown, or else for twenty minutes. */
function TopUps({
  model,
  judgement,
  slip,
}: {
  model: WarmUpModel;
  judgement: ReturnType<typeof useFullJudgement>["judgement"];
  slip: number;
}) {
  const cold = judgement?.findings.find((f) => f.finding.code === "cold-at-the-start")?.finding;
  const mend = cold?.mends.find((m) => m.kind === "top-up");
  if (slip === 0 && mend && model.mayBuild)
    return (
      <Notice
        text={mend.words}
        actions={[{ label: "Put it in", onPress: () => model.applyEdits(mend.edits) }]}
      />
    );
  const wanted = slip > 0 ? slip * MINUTE_SECONDS : 1200;
  const near = judgement?.topUps.find((t) => t.delaySeconds >= wanted) ?? judgement?.topUps.at(-1);
  if (!near) return null;
  const lead = `Late by ${near.delaySeconds / MINUTE_SECONDS} min? `;
  if (!near.isNeeded) return <Notice text={`${lead}Nothing more is needed.`} />;
  return (
    <Notice
      text={
        near.topUp
          ? `${lead}${topUpLine(near.topUp)} The run offers it when it comes to that.`
          : `${lead}No top-up from this shelf is worth it: keep warm, in layers.`
      }
    />
  );
}
