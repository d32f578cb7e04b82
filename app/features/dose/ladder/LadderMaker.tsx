import { formatLength, idealLevel, type LadderDose, levelsOf } from "@tonodrome/core";
import {
  FIRST_WISH,
  generateLadder,
  idleWishes,
  LADDER_SHAPES,
  type LadderShape,
  type LadderWish,
  ladderShapeSchema,
} from "@tonodrome/core/ladder-maker";
import { useDeferredValue, useMemo, useState } from "react";
import { ScrollView, Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { Amount, Percent, Seconds } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { WordsField } from "~/ui/fields/WordsField";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { RungStair } from "./RungStair";
import { useScales } from "./scales";

const SHAPES = ladderShapeSchema.options.map((value) => ({ value, label: LADDER_SHAPES[value].name }));

/** Shapes whose rungs are named by stages rather than by grades. */
const STAGED: readonly LadderShape[] = ["targets", "distances", "realism"];

interface GeneratorProps {
  /** @param name what its shape is called */
  onUse: (dose: LadderDose, name: string) => void;
  onCancel: () => void;
}

/** Makes a ladder from a few wishes, and shows it as they change. */
export default function Generator({ onUse, onCancel }: GeneratorProps) {
  const [wish, setWish] = useState(FIRST_WISH);
  const change = (more: Partial<LadderWish>) => setWish({ ...wish, ...more });
  const answer = useMemo(() => generateLadder(wish, uuid), [wish]);
  const ideal = answer.ok ? levelsOf(answer.dose)[idealLevel(answer.dose)] : undefined;
  return (
    <View className="gap-3">
      <Choice label="Shape" options={SHAPES} value={wish.shape} onChange={(shape) => change({ shape })} />
      <Text className="font-text text-small text-muted">{LADDER_SHAPES[wish.shape].about}</Text>
      {/* Always as high, so that what is pressed below does not move away from under the finger. */}
      <ScrollView
        className="h-[340px] border-y-2 border-line"
        contentContainerClassName="gap-2 py-2"
        tabIndex={0}
        aria-label="The ladder that comes of it"
        aria-live="polite"
        testID="made-ladder"
      >
        {answer.ok ? (
          <>
            <Text className="font-strong text-body text-ink">
              {ideal?.words}, {formatLength(answer.seconds)}
            </Text>
            {answer.gaveUp.length > 0 ? <Notice text={`Cut to fit: ${answer.gaveUp.join(" ")}`} /> : null}
            <RungStair rungs={ideal?.rungs ?? []} small />
          </>
        ) : (
          <Notice warn text={answer.message} />
        )}
      </ScrollView>
      <View className="flex-row gap-2">
        <Button
          label="Use these rungs"
          look="full"
          className="flex-1"
          disabled={!answer.ok}
          onPress={() => (answer.ok ? onUse(answer.dose, LADDER_SHAPES[wish.shape].name) : undefined)}
        />
        <Button label="Back" onPress={onCancel} />
      </View>
      <Wishes wish={wish} onChange={change} />
    </View>
  );
}

function Wishes({ wish, onChange }: { wish: LadderWish; onChange: (more: Partial<LadderWish>) => void }) {
  // Tried out after the ladder itself is drawn.
  const tried = useDeferredValue(wish);
  const idle = useMemo(() => idleWishes(tried), [tried]);
  return (
    <View className="gap-2">
      <Seconds
        label="Time for it"
        value={wish.seconds}
        least={30}
        most={3600}
        step={30}
        onChange={(seconds) => onChange({ seconds })}
      />
      <Why text={idle.seconds} />
      <Percent
        label="Bottom"
        value={wish.bottom}
        least={0}
        most={100}
        onChange={(bottom) => onChange({ bottom })}
      />
      <Why text={idle.bottom} />
      <Percent label="Top" value={wish.top} least={5} most={100} onChange={(top) => onChange({ top })} />
      <Why text={idle.top} />
      <Amount
        label="Largest step"
        value={wish.stepPoints}
        least={5}
        most={50}
        step={5}
        show={(n) => `${n} pts`}
        onChange={(stepPoints) => onChange({ stepPoints })}
      />
      <Why text={idle.stepPoints} />
      <Amount
        label="Easy reps first"
        value={wish.easyReps}
        least={0}
        most={40}
        onChange={(easyReps) => onChange({ easyReps })}
      />
      <Why text={idle.easyReps} />
      <Amount
        label="Reps at the bottom"
        value={wish.reps}
        least={1}
        most={30}
        onChange={(reps) => onChange({ reps })}
      />
      <Why text={idle.reps} />
      <Percent
        label="Fewer at the top by"
        value={wish.taperPercent}
        least={0}
        most={100}
        step={10}
        onChange={(taperPercent) => onChange({ taperPercent })}
      />
      <Why text={idle.taperPercent} />
      <Seconds
        label="One repetition takes"
        value={wish.secondsEach}
        least={1}
        most={300}
        step={wish.secondsEach >= 30 ? 5 : 1}
        onChange={(secondsEach) => onChange({ secondsEach })}
      />
      <Why text={idle.secondsEach} />
      <RestWish wish={wish} onChange={onChange} />
      {wish.shape === "targets" ? (
        <>
          <Amount
            label="Hits wanted"
            value={wish.hits}
            least={1}
            most={10}
            onChange={(hits) => onChange({ hits })}
          />
          <Why text={idle.hits} />
          <Percent
            label={words.chanceOfAHit}
            value={wish.chancePercent}
            least={5}
            most={95}
            onChange={(chancePercent) => onChange({ chancePercent })}
          />
          <Why text={idle.chancePercent} />
        </>
      ) : null}
      <Labels wish={wish} onChange={onChange} />
    </View>
  );
}

/** Why a wish changes nothing, under it. */
function Why({ text }: { text: string | undefined }) {
  return text ? <Text className="font-text text-small text-muted">{text}</Text> : null;
}

function RestWish({ wish, onChange }: { wish: LadderWish; onChange: (more: Partial<LadderWish>) => void }) {
  const { rest } = wish;
  return (
    <>
      <Choice
        named
        label={words.rest}
        options={[
          { value: "none", label: "No rest" },
          { value: "fixed", label: words.aFixedRest },
          { value: "multiple", label: "A multiple of one effort" },
        ]}
        value={rest.kind}
        onChange={(kind) =>
          onChange({
            rest: kind === "none" ? { kind } : kind === "fixed" ? { kind, seconds: 15 } : { kind, times: 5 },
          })
        }
      />
      {rest.kind === "fixed" ? (
        <Seconds
          label="Rest after a rung"
          value={rest.seconds}
          least={0}
          most={600}
          step={rest.seconds >= 60 ? 15 : 5}
          onChange={(seconds) => onChange({ rest: { kind: "fixed", seconds } })}
        />
      ) : null}
      {rest.kind === "multiple" ? (
        <Amount
          label={words.restAsMultiple}
          value={rest.times}
          least={0}
          most={20}
          show={(n) => `${n} ×`}
          onChange={(times) => onChange({ rest: { kind: "multiple", times } })}
        />
      ) : null}
    </>
  );
}

/** What the rungs are called: a scale of the athlete's, or stages in the coach's words. */
function Labels({ wish, onChange }: { wish: LadderWish; onChange: (more: Partial<LadderWish>) => void }) {
  const scales = useScales();
  const names = wish.labels.map((l) => l.name);
  const chosen = scales.find((s) => s.items === wish.labels)?.id ?? "";
  return (
    <>
      {scales.length > 0 ? (
        <Choice
          named
          label="Scale"
          options={[
            { value: "", label: "By effort alone" },
            ...scales.map((s) => ({ value: s.id, label: s.name })),
          ]}
          value={chosen}
          onChange={(id) => onChange({ labels: scales.find((s) => s.id === id)?.items ?? [] })}
        />
      ) : null}
      {STAGED.includes(wish.shape) && chosen === "" ? (
        <WordsField
          label={wish.shape === "targets" ? "Targets, in order" : "Stages, in order"}
          hint="Left empty, usual ones are taken."
          words={names}
          most={8}
          onChange={(words) =>
            onChange({ labels: words.map((name) => ({ name, intensity: 0, chancePercent: null })) })
          }
        />
      ) : null}
    </>
  );
}
