import { type Fit, fitTimeline, type GivenUp as Given, spokenLength } from "@tonodrome/core";
import type { Explanation, Trade } from "@tonodrome/core/fitting";
import { useState } from "react";
import { Text, View } from "react-native";
import { askFit } from "~/features/fit/askFit";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { Button } from "~/ui/Button";
import { Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";

/** Spare time below this is not worth beginning later for, seconds. */
const NOTABLE = 30;

/** What was given up and why, how to trade it, and what five minutes either way would change. */
export function GivenUp({ model }: { model: WarmUpModel }) {
  const { fit, explanation, whyFailure } = model;
  if (!explanation) {
    return (
      <View className="gap-4">
        <Summary fit={fit} culprit={null} />
        {whyFailure ? <Notice warn text={whyFailure} /> : <Loading words="Working out why …" />}
      </View>
    );
  }
  return (
    <View className="gap-4">
      <Summary fit={fit} culprit={explanation.culprit?.line ?? null} />
      {whyFailure ? <Notice warn text={whyFailure} /> : null}
      {explanation.given.map((g) => (
        <GivenUpItem key={g.itemId} given={g} model={model} />
      ))}
      <Change title="Five more minutes buy" changes={explanation.fiveMore} none="Nothing more." />
      <Change title="Five fewer cost" changes={explanation.fiveFewer} none="Nothing: it begins later." />
      <Moments needs={explanation.needs} />
    </View>
  );
}

/** One thing given up, what was binding, and what can be traded for it. */
function GivenUpItem({ given, model }: { given: Given; model: WarmUpModel }) {
  const { mayBuild, applyEdits, removeDrill, draft, context, fit } = model;
  const [failure, setFailure] = useState<string | null>(null);
  const [trade, setTrade] = useState<Trade | null | "looking" | "none">(null);
  const item = draft.body.items.find((i) => i.id === given.itemId);
  const find = () => {
    setTrade("looking");
    const ask = { plan: draft.body, context, seconds: fit.availableSeconds, itemId: given.itemId };
    setFailure(null);
    askFit(
      { kind: "trade", ...ask },
      {
        onAnswer: (found) => setTrade(found ?? "none"),
        onFailure: (sentence) => {
          setTrade(null);
          setFailure(sentence);
        },
      },
    );
  };
  return (
    <View className="gap-1" role="group" aria-label={`${given.name}: ${given.change}`}>
      <Text className="font-strong text-body text-ink">
        {given.name}: {given.change}
      </Text>
      <Text className="font-text text-body text-muted">{given.reason}</Text>
      {failure ? <Notice warn text={failure} /> : null}
      {mayBuild && item ? (
        <View className="flex-row flex-wrap gap-2">
          {given.mends.map(({ words, edits }) => (
            <Button key={words} label={words} onPress={() => applyEdits(edits)} />
          ))}
          {trade === null ? (
            <Button
              label={`Swap something out for ${given.name}`}
              short="Swap something out"
              onPress={find}
            />
          ) : trade === "none" || trade === "looking" ? null : (
            <Button
              label={`Remove ${trade.dropName}`}
              look="full"
              onPress={() => removeDrill(trade.dropId)}
            />
          )}
        </View>
      ) : null}
      {trade === "none" || trade === "looking" ? (
        <Text className="font-text text-small text-muted" role="status">
          {trade === "none"
            ? "Nothing that matters less would make room for it."
            : "Looking for something to swap out …"}
        </Text>
      ) : null}
    </View>
  );
}

/** The last moments to begin. */
function Moments({ needs }: { needs: Explanation["needs"] }) {
  const lines = [
    Number.isFinite(needs.full) && needs.full > 0
      ? `Everything at its target: begin ${spokenLength(needs.full)} before the start.`
      : needs.full === 0
        ? ""
        : "Everything at its target never fits this day.",
    Number.isFinite(needs.essentials) && needs.essentials > 0
      ? `The essentials at their minimum: ${spokenLength(needs.essentials)} before.`
      : "",
  ];
  return (
    <View>
      <Text className="font-strong text-body text-ink">Latest begin</Text>
      <Text className="font-text text-body text-ink">{lines.filter(Boolean).join(" ")}</Text>
    </View>
  );
}

function Summary({ fit, culprit }: { fit: Fit; culprit: string | null }) {
  const idle = fitTimeline(fit)
    .filter((s) => s.kind === "idle" && s.toSeconds < 0)
    .reduce((sum, s) => sum + s.toSeconds - s.fromSeconds, 0);
  const lines = [
    `${spokenLength(fit.workSeconds)} of drills, ${idle > 0 ? `${spokenLength(idle)} between them, ` : ""}${spokenLength(fit.waitSeconds)} of wait.`,
    fit.spareSeconds >= NOTABLE ? `${spokenLength(fit.spareSeconds)} to spare: begin that much later.` : "",
    fit.missingSeconds > 0
      ? `The essentials at their minimum need ${spokenLength(fit.missingSeconds)} more. What matters least of them is left out: kit goes last, then what is nearest the start.`
      : "",
    fit.neverFits ? "Some essential drills cannot be done this day, however early it begins." : "",
    culprit ?? "",
  ];
  return <Text className="font-text text-body text-ink">{lines.filter(Boolean).join(" ")}</Text>;
}

function Change({ title, changes, none = "" }: { title: string; changes: string[]; none?: string }) {
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
