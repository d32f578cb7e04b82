import {
  compareFits,
  culpritLine,
  type Fit,
  type FitProfile,
  fitAt,
  type GivenUp as Given,
  givenUp,
  PRIORITIES,
  type Priority,
  spokenLength,
  type Trade,
  tradeFor,
} from "@tonodrome/core";
import { useMemo, useState } from "react";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Loading } from "~/ui/Loading";
import type { WarmUpModel } from "./useWarmUp";

const FIVE = 300;

/** Spare time below this is not worth beginning later for, seconds. */
const NOTABLE = 30;

/** What was given up and why, how to trade it, and what five minutes either way would change. */
export function GivenUp({ model }: { model: WarmUpModel }) {
  const { fit, profile, share } = model;
  if (!profile) {
    return (
      <View className="gap-4">
        <Summary fit={fit} culprit={null} />
        <Loading />
        <Text className="font-text text-small text-muted" role="status">
          Every time available is being worked out: {Math.round(share * 100)} %.
        </Text>
      </View>
    );
  }
  return <Reckoned model={model} profile={profile} />;
}

function Reckoned({ model, profile }: { model: WarmUpModel; profile: FitProfile }) {
  const { fit } = model;
  const list = useMemo(() => givenUp(profile, fit), [profile, fit]);
  const culprit = useMemo(
    () => (fit.state === "short" ? culpritLine(profile.problem, profile.needs, fit.availableSeconds) : null),
    [profile, fit],
  );
  const more = compareFits(fit, fitAt(profile, fit.availableSeconds + FIVE));
  const fewer = compareFits(fit, fitAt(profile, fit.availableSeconds - FIVE));
  return (
    <View className="gap-4">
      <Summary fit={fit} culprit={culprit} />
      {list.map((g) => (
        <GivenUpItem key={g.itemId} given={g} model={model} />
      ))}
      <Change title="Five more minutes buy" changes={more} none="Nothing more." />
      <Change title="Five fewer cost" changes={fewer} none="Nothing: it begins later." />
      <Moments profile={profile} />
    </View>
  );
}

/** One thing given up, what bound it, and what can be traded for it. */
function GivenUpItem({ given, model }: { given: Given; model: WarmUpModel }) {
  const { mayBuild, changeDrill, removeDrill, draft, context, fit } = model;
  const [trade, setTrade] = useState<Trade | null | "none">(null);
  const item = draft.body.items.find((i) => i.id === given.itemId);
  const higher = item ? PRIORITIES[PRIORITIES.indexOf(item.priority) - 1] : undefined;
  const find = () => setTrade(tradeFor(draft.body, context, fit.availableSeconds, given.itemId) ?? "none");
  return (
    <View className="gap-1" role="group" aria-label={`${given.name}: ${given.change}`}>
      <Text className="font-strong text-body text-ink">
        {given.name}: {given.change}
      </Text>
      <Text className="font-text text-body text-muted">{given.reason}</Text>
      {mayBuild && item ? (
        <View className="flex-row flex-wrap gap-2">
          {higher ? (
            <Button
              label={`Make it ${PRIORITY_WORDS[higher]}`}
              onPress={() => changeDrill(given.itemId, { priority: higher })}
            />
          ) : null}
          {trade === null ? (
            <Button label={`Find a trade for ${given.name}`} short="Find a trade" onPress={find} />
          ) : trade === "none" ? null : (
            <Button
              label={`Take out ${trade.dropName}`}
              look="full"
              onPress={() => removeDrill(trade.dropId)}
            />
          )}
        </View>
      ) : null}
      {trade === "none" ? (
        <Text className="font-text text-small text-muted" role="status">
          Nothing that matters less would make room for it.
        </Text>
      ) : null}
    </View>
  );
}

const PRIORITY_WORDS: Record<Priority, string> = {
  essential: "essential",
  useful: "useful",
  extra: "an extra",
};

/** The last moments to begin. */
function Moments({ profile: { needs } }: { profile: FitProfile }) {
  const lines = [
    Number.isFinite(needs.full) && needs.full > 0
      ? `All of it at its ideal: begin ${spokenLength(needs.full)} before the start.`
      : needs.full === 0
        ? ""
        : "All of it at its ideal never fits this day.",
    Number.isFinite(needs.essentials) && needs.essentials > 0
      ? `The essentials at their floors: ${spokenLength(needs.essentials)} before.`
      : "",
  ];
  return (
    <View>
      <Text className="font-strong text-body text-ink">The last moment to begin</Text>
      <Text className="font-text text-body text-ink">{lines.filter(Boolean).join(" ")}</Text>
    </View>
  );
}

function Summary({ fit, culprit }: { fit: Fit; culprit: string | null }) {
  const idle = fit.idle
    .filter((i) => i.toSeconds < 0)
    .reduce((sum, i) => sum + i.toSeconds - i.fromSeconds, 0);
  const lines = [
    `${spokenLength(fit.workSeconds)} of drills, ${idle > 0 ? `${spokenLength(idle)} between them, ` : ""}${spokenLength(fit.waitSeconds)} of wait.`,
    fit.spareSeconds >= NOTABLE ? `${spokenLength(fit.spareSeconds)} to spare: begin that much later.` : "",
    fit.missingSeconds > 0
      ? `The essentials at their floors need ${spokenLength(fit.missingSeconds)} more. What matters least of them is left out: kit goes last, then what is nearest the start.`
      : "",
    fit.neverFits ? "Some essential drills cannot be done this day, however early it begins." : "",
    culprit ?? "",
  ];
  return <Text className="font-text text-body text-ink">{lines.filter(Boolean).join(" ")}</Text>;
}

function Change({ title, changes, none }: { title: string; changes: string[]; none: string }) {
  return (
    <View>
      <Text className="font-strong text-body text-ink">{title}</Text>
      {(changes.length > 0 ? changes : [none]).map((line) => (
        <Text key={line} className="font-text text-body text-ink">
          {line}
        </Text>
      ))}
    </View>
  );
}
