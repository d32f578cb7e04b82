import { type DoseLevel, idealLevel, levelsOf, type PlainDose, WIDEST_WINDOW } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Amount, type EditProps, Percent, Seconds } from "~/features/fields/fields";
import { Ranges } from "~/features/fields/Ranges";
import { Choice } from "~/ui/fields/Choice";
import { words } from "~/ui/words";

type GateDose = Extract<PlainDose, { kind: "gate" }>;

/** A gate under another rule; hits beyond what is looked back on are given up with it. */
function withRule(dose: GateDose, kind: GateDose["rule"]["kind"]): GateDose {
  if (kind !== "of") return { ...dose, rule: { kind } };
  const within = (n: number) => Math.min(n, WIDEST_WINDOW);
  const hits = {
    floor: within(dose.hits.floor),
    ideal: within(dose.hits.ideal),
    ceiling: within(dose.hits.ceiling),
  };
  return { ...dose, hits, rule: { kind, window: within(hits.ceiling + 2) } };
}

/** "6.3 tries on average; planned for 9, which is enough for 80 of 100." */
function triesLine(dose: GateDose): string {
  const { meanTries = 0, actions } = levelsOf(dose)[idealLevel(dose)] as DoseLevel;
  const sides = dose.sides === "both" ? ", both sides together" : "";
  return `${meanTries.toFixed(1)} tries on average; planned for ${actions}${sides}, enough for ${dose.surePercent} of 100 or all that the longest time allows.`;
}

/** What opens a gate, how likely a hit is, and when it is over all the same. */
export function GateFields({ dose, onChange }: EditProps<GateDose>) {
  const { rule, hits } = dose;
  const window = rule.kind === "of" ? rule.window : 30;
  return (
    <View className="gap-2">
      <Choice
        label="Passed when"
        options={[
          { value: "total", label: "Hits in all" },
          { value: "row", label: "Hits in a row" },
          { value: "of", label: "Of the last …" },
        ]}
        value={rule.kind}
        onChange={(kind) => onChange(withRule(dose, kind))}
      />
      <Ranges
        of={[
          {
            noun: "hits",
            range: hits,
            limits: { step: 1, least: 1, most: window },
            onChange: (next) => onChange({ ...dose, hits: next }),
          },
        ]}
      />
      {rule.kind === "of" ? (
        <Amount
          label="Of the last"
          value={rule.window}
          least={hits.ceiling}
          most={WIDEST_WINDOW}
          show={(n) => `${n} tries`}
          onChange={(next) => onChange({ ...dose, rule: { kind: "of", window: next } })}
        />
      ) : null}
      <Percent
        label={words.chanceOfAHit}
        value={dose.chancePercent}
        least={5}
        most={95}
        onChange={(chancePercent) => onChange({ ...dose, chancePercent })}
      />
      <Seconds
        label="Time per try"
        value={dose.secondsEach}
        least={1}
        most={120}
        onChange={(secondsEach) => onChange({ ...dose, secondsEach })}
      />
      <Seconds
        label="Between tries"
        value={dose.restSeconds}
        least={0}
        most={120}
        step={5}
        onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
      />
      <Seconds
        label="Never longer than"
        value={dose.capSeconds}
        least={Math.max(30, dose.secondsEach)}
        most={1800}
        step={30}
        onChange={(capSeconds) => onChange({ ...dose, capSeconds })}
      />
      <Percent
        label="Allow time for"
        value={dose.surePercent}
        least={50}
        most={95}
        onChange={(surePercent) => onChange({ ...dose, surePercent })}
      />
      <Text className="font-text text-small text-muted" role="status">
        {triesLine(dose)}
      </Text>
    </View>
  );
}
