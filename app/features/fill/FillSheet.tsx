import {
  approachName,
  copyPlan,
  EASY_SESSION,
  fitAt,
  fitTimeline,
  type PlanBody,
  sessionKindOf,
} from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { type Approach, type ApproachSides, suitedFirst } from "@tonodrome/core/approaches";
import type { FillPreview } from "@tonodrome/core/fill";
import { useMemo, useState } from "react";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { useStartsBefore } from "~/data/resources/starts";
import { useTemplates } from "~/data/resources/templates";
import { useFitAt } from "~/features/fit/useFitAt";
import { WholeRise } from "~/features/rise/WholeRise";
import { Starters } from "~/features/shelf/Starters";
import { Button } from "~/ui/Button";
import { dayName } from "~/ui/dates";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Section } from "~/ui/layout/Section";
import { FillPreviewLine } from "./FillPreviewLine";
import { anySeed, drillIdsOf, type FillFrom, type KitSaid } from "./fillFor";
import { KitQuestion } from "./KitQuestion";
import { useFill, useFillPreviews } from "./useFill";

const SIDES: { [K in keyof ApproachSides]: Record<ApproachSides[K], string> } = {
  length: { compact: "compact", standard: "standard length", long: "long" },
  first: { easy: "easy movement first", circuit: "a circuit first" },
  order: {
    "easy-to-hard": "easy to hard",
    "needs-first": "what is least sure first",
    "secure-last": "ends on what is secure",
  },
  peak: { below: "peak well below full", at: "peak at the event's level", above: "peak just above it" },
  wait: { hot: "done minutes before", "rest-out": "rests out before the start" },
  rest: { none: "no rests", full: "full rests between hard efforts" },
  variety: { same: "the same every time", vary: "drills vary" },
  stretching: { moving: "moving stretches only", "short-holds": "short holds early" },
};

/** An approach's sides in words. */
function sideWords(sides: ApproachSides): string {
  return (Object.keys(SIDES) as (keyof ApproachSides)[])
    .map((side) => (SIDES[side] as Record<string, string>)[sides[side]])
    .join(", ");
}

interface FillSheetProps {
  from: FillFrom;
  /** The plan there is, whose drills another version does without. */
  body: PlanBody;
  onFill: (body: PlanBody, news: readonly string[]) => void;
  /** Keeps the plan there is as a template. */
  onKeep: () => void;
}

/** Begins a warm-up from an approach, an earlier one or a template. */
export default function FillSheet({ from, body, onFill, onKeep }: FillSheetProps) {
  const { start, athlete, event, drills } = from;
  const preferred = athlete?.profile.approach ?? null;
  const { setting } = start;
  // As it was when this was opened: nothing changes its place under the finger.
  const [minutes] = useState(from.availableSeconds / 60);
  const approaches = useMemo(
    () =>
      suitedFirst(event?.effort ?? null, setting, minutes).toSorted(
        (a, b) => Number(b.id === preferred) - Number(a.id === preferred),
      ),
    [event, setting, minutes, preferred],
  );
  // What is shown of each approach is what pressing it begins from.
  const [seed] = useState(anySeed);
  const filling = useFill(from, (approach, { body, gaps }) =>
    onFill(body, [`Filled from ${approachName(approach)}.`, ...gaps]),
  );
  const [kit, setKit] = useState<KitSaid>(null);
  const previews = useFillPreviews(from, approaches, seed, kit);
  const asked = useKitAsked(previews);
  const isWaiting = filling.busy !== null || !from.isBeforeKnown;
  const copy = (other: PlanBody, news: string) => onFill(copyPlan(other, uuid), [news]);
  const origin = body.origin && body.items.length > 0 ? body.origin : null;
  return (
    <View className="gap-6">
      {sessionKindOf(setting) === "easy" ? <Notice text={EASY_SESSION} /> : null}
      {body.items.length > 0 ? (
        <Notice text="What there is now is replaced, in one step that can be undone." />
      ) : null}
      {drills.length === 0 ? (
        <Section title="The shelf is empty: what do you coach?">
          <Starters />
        </Section>
      ) : null}
      {origin ? (
        <Section title={`From ${approachName(origin.approach)} again`}>
          {origin.gaps ? (
            <View role="list" aria-label="What filling could not give" className="gap-1">
              {origin.gaps.map((gap) => (
                <Text key={gap} role="listitem" className="font-text text-small text-ink">
                  {gap}
                </Text>
              ))}
            </View>
          ) : null}
          <Button
            label="Another version"
            disabled={isWaiting}
            onPress={() =>
              filling.fill({ approach: origin.approach, seed: anySeed(), kit, avoid: drillIdsOf(body) })
            }
          />
        </Section>
      ) : null}
      {filling.failure ? <Notice warn text={filling.failure} /> : null}
      {filling.busy ? <Notice text={`Filling from ${approachName(filling.busy)} …`} /> : null}
      <Earlier
        start={start}
        disabled={isWaiting}
        onCopy={copy}
        onLike={(approach, seed, keep) => filling.fill({ approach, seed, kit, keep })}
      />
      <Section title="From an approach">
        {asked ? <KitQuestion kit={asked} said={kit ?? "on"} onSay={setKit} /> : null}
        <View role="list" aria-label="Approaches">
          {approaches.map((approach) => (
            <ApproachRow
              key={approach.id}
              approach={approach}
              suited={event !== null && approach.suits.includes(event.effort)}
              preferred={approach.id === preferred}
              preview={previews?.find((p) => p.approach === approach.id) ?? null}
              disabled={drills.length === 0 || isWaiting}
              onPress={() => filling.fill({ approach: approach.id, seed, kit })}
            />
          ))}
        </View>
      </Section>
      <Templates from={from} body={body} onCopy={copy} onKeep={onKeep} />
    </View>
  );
}

/** The kit that there was no time for when it was first looked at: it stays asked whatever is answered. */
function useKitAsked(previews: readonly FillPreview[] | null): FillPreview["kitOn"] {
  const [asked, setAsked] = useState<FillPreview["kitOn"]>(null);
  const now = previews?.find((p) => p.kitOn)?.kitOn ?? null;
  if (now && !asked) setAsked(now);
  return asked ?? now;
}

interface ApproachRowProps {
  approach: Approach;
  suited: boolean;
  preferred: boolean;
  /** What it would give; null until that is known. */
  preview: FillPreview | null;
  disabled: boolean;
  onPress: () => void;
}

function ApproachRow({ approach, suited, preferred, preview, disabled, onPress }: ApproachRowProps) {
  const { id, why, sides, minutes } = approach;
  const name = approachName(id);
  const marks = [preferred ? "their own" : "", suited ? "suits this event" : ""].filter(Boolean).join(", ");
  return (
    <View role="listitem" className="gap-2 border-t-2 border-line py-3">
      <View className="flex-row items-center gap-3">
        <View className="flex-1">
          <Text className="font-strong text-body text-ink">
            {name}, {minutes.least}–{minutes.most} min
          </Text>
          {marks ? <Text className="font-strong text-small text-press">{marks}</Text> : null}
        </View>
        <Button
          label={`Fill from ${name}`}
          short="Fill"
          look={suited || preferred ? "full" : "outline"}
          disabled={disabled}
          onPress={onPress}
        />
      </View>
      {preview ? <FillPreviewLine preview={preview} /> : null}
      <Text className="font-text text-small text-ink">{why}</Text>
      <Text className="font-text text-small text-muted">{sideWords(sides)}</Text>
    </View>
  );
}

/** The athlete's last warm-ups: to copy, or to fill this day's like them. */
function Earlier({
  start,
  disabled,
  onCopy,
  onLike,
}: {
  start: Start;
  /** Whether something is being filled, or cannot be yet. */
  disabled: boolean;
  onCopy: (body: PlanBody, news: string) => void;
  onLike: (approach: Approach["id"], seed: number, keep: string[]) => void;
}) {
  const earlier = useStartsBefore(start.athlete.id, start.startsAt);
  const withPlans = (earlier.data ?? []).filter((s) => s.id !== start.id && s.plan.body.items.length > 0);
  const last = withPlans.find((s) => s.plan.body.origin);
  if (withPlans.length === 0) return null;
  return (
    <Section title={`${start.athlete.name}'s earlier warm-ups`}>
      {last?.plan.body.origin ? (
        <Button
          label="The same as last time"
          look="full"
          disabled={disabled}
          onPress={() => {
            const { approach, seed } = last.plan.body.origin as { approach: Approach["id"]; seed: number };
            onLike(approach, seed, drillIdsOf(last.plan.body));
          }}
        />
      ) : null}
      <View role="list" aria-label="Earlier warm-ups">
        {withPlans.slice(0, 5).map((s) => (
          <Row
            key={s.id}
            title={s.title}
            detail={`${dayName(s.startsAt, s.zone, Date.now())}, ${s.plan.body.items.length} drills`}
            action={
              <Button
                label={`Copy ${s.title}`}
                short="Copy"
                icon="copy"
                onPress={() => onCopy(s.plan.body, `Copied from ${s.title}.`)}
              />
            }
          />
        ))}
      </View>
    </Section>
  );
}

/** What a plan comes to in the time and on the day that there are. */
function PlanRise({ plan, from }: { plan: PlanBody; from: FillFrom }) {
  const { availableSeconds, judgeInput } = from;
  const { profile } = useFitAt(plan, judgeInput.context, availableSeconds);
  const segments = useMemo(() => fitTimeline(fitAt(profile, availableSeconds)), [profile, availableSeconds]);
  return <WholeRise segments={segments} />;
}

function Templates({
  from,
  body,
  onCopy,
  onKeep,
}: {
  from: FillFrom;
  body: PlanBody;
  onCopy: (body: PlanBody, news: string) => void;
  onKeep: () => void;
}) {
  const templates = useTemplates();
  return (
    <Section title="From a template of the club">
      <Loaded query={templates}>
        {(list) =>
          list.length === 0 ? (
            <Notice
              text="No templates yet. A warm-up that is good again can be kept as one."
              actions={
                body.items.length > 0 ? [{ label: "Keep this one as a template", onPress: onKeep }] : []
              }
            />
          ) : (
            <View role="list" aria-label="Templates">
              {list.map((t) => (
                <View key={t.id}>
                  <Row
                    title={t.name}
                    detail={`${t.body.items.length} drills`}
                    action={
                      <Button
                        label={`Use ${t.name}`}
                        short="Use"
                        onPress={() => onCopy(t.body, `From the template ${t.name}.`)}
                      />
                    }
                  />
                  <PlanRise plan={t.body} from={from} />
                </View>
              ))}
            </View>
          )
        }
      </Loaded>
    </Section>
  );
}
