import { CALL_GAP, type Called, MOST_CALLED, MOST_COUNTS, wordKey } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, Seconds } from "~/features/fields/fields";
import { WordsField } from "~/ui/fields/WordsField";

/** What a first movement begins with: eight counts, a call every ten to twenty-five seconds. Custom. */
const FIRST = { counts: 8, gapFrom: 10, gapTo: 25 };

interface CalledFieldsProps {
  called: Called | undefined;
  onChange: (called: Called | undefined) => void;
}

/** Movements that are called by number during a drill, and how often. */
export function CalledFields({ called, onChange }: CalledFieldsProps) {
  const { gapFrom, gapTo } = called ?? FIRST;
  const movements = called?.movements ?? [];
  const setNames = (names: readonly string[]) => {
    const known = new Map(movements.map((m) => [wordKey(m.name), m.counts]));
    const next = names.map((name) => ({ name, counts: known.get(wordKey(name)) ?? FIRST.counts }));
    onChange(next.length > 0 ? { movements: next, gapFrom, gapTo } : undefined);
  };
  return (
    <View className="gap-3">
      <WordsField
        label="Movements that are called"
        hint="During it, you or the phone call one by its number."
        words={movements.map((m) => m.name)}
        most={MOST_CALLED}
        onChange={setNames}
      />
      {called ? (
        <>
          {movements.map((movement, i) => (
            <Amount
              key={movement.name}
              label={`${i + 1}: ${movement.name}`}
              value={movement.counts}
              least={1}
              most={MOST_COUNTS}
              show={(n) => (n === 1 ? "1 count" : `${n} counts`)}
              onChange={(counts) =>
                onChange({
                  ...called,
                  movements: movements.map((m) => (m === movement ? { ...m, counts } : m)),
                })
              }
            />
          ))}
          <Seconds
            label="Next call after, at least"
            value={gapFrom}
            {...CALL_GAP}
            onChange={(n) => onChange({ ...called, gapFrom: n, gapTo: Math.max(n, gapTo) })}
          />
          <Seconds
            label="Next call after, at most"
            value={gapTo}
            {...CALL_GAP}
            onChange={(n) => onChange({ ...called, gapTo: n, gapFrom: Math.min(n, gapFrom) })}
          />
        </>
      ) : null}
    </View>
  );
}
