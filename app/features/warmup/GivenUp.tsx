import { compareFits, type Fit, type FitTable, fitAt, givenUp, spokenLength } from "@tonodrome/core";
import { Text, View } from "react-native";

const FIVE = 300;

/** Spare time below this is not worth beginning later for, seconds. */
const NOTABLE = 30;

/** What was given up and why, and what five minutes either way would change. */
export function GivenUp({ fit, table }: { fit: Fit; table: FitTable }) {
  const list = givenUp(fit);
  const more = compareFits(fit, fitAt(table, fit.availableSeconds + FIVE));
  const fewer = compareFits(fit, fitAt(table, fit.availableSeconds - FIVE));
  return (
    <View className="gap-4">
      <Summary fit={fit} />
      {list.map((g) => (
        <View key={g.itemId}>
          <Text className="font-strong text-body text-ink">
            {g.name}: {g.change}
          </Text>
          <Text className="font-text text-body text-muted">{g.reason}</Text>
        </View>
      ))}
      <Change title="Five more minutes buy" changes={more} none="Nothing: everything is at its most." />
      <Change title="Five fewer cost" changes={fewer} none="Nothing: it begins later." />
    </View>
  );
}

function Summary({ fit }: { fit: Fit }) {
  const lines = [
    `${spokenLength(fit.workSeconds)} of drills, ${spokenLength(fit.waitSeconds)} of wait.`,
    fit.spareSeconds >= NOTABLE ? `${spokenLength(fit.spareSeconds)} to spare: begin that much later.` : "",
    fit.missingSeconds > 0
      ? `The essentials at their floors need ${spokenLength(fit.missingSeconds)} more. What matters least of them is left out: kit goes last, then what is nearest the start.`
      : "",
    fit.stepBlocked
      ? "Some essential drills stand a steeper step apart than this plan allows. No amount of time helps: add a drill between them, lower one, or allow a larger step."
      : "",
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
