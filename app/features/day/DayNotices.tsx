import { spokenLength } from "@tonodrome/core";
import { contradictionWords, type DayPlan, waysOut } from "@tonodrome/core/day";
import { useRouter } from "expo-router";
import { Text, View } from "react-native";
import { clockTime } from "~/ui/dates";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import type { DayModel, DaySource } from "./useDay";

const SOURCE: Record<DaySource, string | null> = {
  own: null,
  athlete: "This athlete's usual day. Changes are for this start alone.",
  event: "The usual day of this event. Changes are for this start alone.",
  usual: "A usual day, by coaches' habits. Changes are for this start alone.",
};

/** What there is to know of the day: where it comes from, whether it is saved, and what cannot hold together. */
export function DayNotices({ model }: { model: DayModel }) {
  const { draft, source, plans, mayBuild } = model;
  const from = SOURCE[source];
  return (
    <View className="gap-2">
      {draft.conflict ? (
        <Notice
          warn
          text={`${draft.conflict.by ?? "Someone else"} changed this day while you did.`}
          actions={[
            { label: words.putMineOverIt, onPress: () => void draft.keepMine() },
            { label: "Take theirs", onPress: draft.takeTheirs },
          ]}
        />
      ) : null}
      {draft.failure ? (
        <Notice
          warn
          text={`Not saved. ${draft.failure} What you changed is still here.`}
          actions={[{ label: words.tryAgain, onPress: () => void draft.save() }]}
        />
      ) : null}
      {from && mayBuild ? <Text className="font-text text-small text-muted">{from}</Text> : null}
      <Unbuilt model={model} />
      <Contradiction model={model} plan={plans.usual} />
      {plans.usual.holds ? <Contradiction model={model} plan={plans.bad} /> : null}
    </View>
  );
}

/** A warm-up that is still to be built: after a start before it on the day, a re-warm from what is left of that one. */
function Unbuilt({ model: { start, sameDay, mayBuild } }: { model: DayModel }) {
  const router = useRouter();
  if (!mayBuild || start.plan.body.items.length > 0) return null;
  const before = sameDay[sameDay.findIndex((s) => s.id === start.id) - 1];
  const build = () => router.push(`/start/${start.id}?fill=first`);
  return before ? (
    <Notice
      text={`The re-warm is still to be built, from what is left of ${before.title} by then.`}
      actions={[{ label: "Build the re-warm", onPress: build }]}
    />
  ) : (
    <Notice
      text="The warm-up is still to be built."
      actions={[{ label: words.buildTheWarmUp, onPress: build }]}
    />
  );
}

/** Ways out that are offered: more are no help. */
const OFFERED = 5;

/** Steps that cannot hold together, and what may give. */
function Contradiction({ model, plan }: { model: DayModel; plan: DayPlan }) {
  const { frame, mayBuild, edit } = model;
  if (plan.holds) return null;
  const { version, contradiction } = plan;
  const ways = mayBuild ? waysOut(frame, contradiction, version).slice(0, OFFERED) : [];
  const when = version === "bad" ? "If it goes badly: " : "";
  return (
    <Notice
      warn
      text={`${when}${contradictionWords(frame, contradiction, version)}`}
      actions={ways.map(({ words: label, steps, missingSeconds }) => ({
        label: missingSeconds > 0 ? `${label} (${spokenLength(missingSeconds)} still missing)` : label,
        onPress: () => edit(steps),
      }))}
    />
  );
}

/** When the day begins, and by how much earlier if it goes badly. */
export function dayBegins({ frame, plans }: Pick<DayModel, "frame" | "plans">): string {
  const first = (plan: DayPlan) => {
    if (!plan.holds) return null;
    const of = (kind: string) => plan.stands.find((s) => s.step.kind === kind);
    const leaving = of("travel") ?? of("warm-up") ?? plan.stands[0];
    const name = leaving?.step.kind === "travel" ? "Leave" : leaving?.step.name;
    return leaving ? { name, at: leaving.beginSeconds } : null;
  };
  const [usual, bad] = [first(plans.usual), first(plans.bad)];
  if (!usual) return "These steps cannot hold together.";
  const time = (at: number) => clockTime(Date.parse(frame.startsAt) + at * 1000, frame.zone);
  const badly = bad && bad.at !== usual.at ? `, to be sure ${time(bad.at)}` : "";
  return `${usual.name} ${time(usual.at)}${badly}`;
}
