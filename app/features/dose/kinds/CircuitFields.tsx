import { MOST_MOVEMENTS, type Movement, type PlainDose } from "@tonodrome/core";
import { useState } from "react";
import { Text, View } from "react-native";
import { Amount, type EditProps, Seconds } from "~/features/fields/fields";
import { boutsOf, Ranges } from "~/features/fields/Ranges";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/fields/Field";

/** The movements of a circuit in their order, and its rounds. */
export function CircuitFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "circuit" }>>) {
  const { movements } = dose;
  const put = (next: Movement[]) => onChange({ ...dose, movements: next });
  return (
    <View className="gap-3">
      <View role="list" aria-label="Movements" className="gap-3">
        {movements.map((movement, i) => (
          <MovementFields
            // A movement has no id of its own: it is what stands at its place.
            // biome-ignore lint/suspicious/noArrayIndexKey: see above
            key={i}
            place={i + 1}
            movement={movement}
            onChange={(next) => put(movements.with(i, next))}
            onRemove={movements.length > 1 ? () => put(movements.toSpliced(i, 1)) : null}
          />
        ))}
      </View>
      {movements.length < MOST_MOVEMENTS ? (
        <Button
          label="Add a movement"
          icon="add"
          onPress={() => put([...movements, { ...(movements.at(-1) as Movement), name: "Movement" }])}
        />
      ) : null}
      <Ranges of={[boutsOf("rounds", dose.rounds, 10, (rounds) => onChange({ ...dose, rounds }))]} />
      <Seconds
        label="Between movements"
        value={dose.restSeconds}
        least={0}
        most={120}
        step={5}
        onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
      />
      <Seconds
        label="Between rounds"
        value={dose.roundRestSeconds}
        least={0}
        most={600}
        step={10}
        onChange={(roundRestSeconds) => onChange({ ...dose, roundRestSeconds })}
      />
    </View>
  );
}

interface MovementFieldsProps {
  place: number;
  movement: Movement;
  onChange: (movement: Movement) => void;
  /** Null for the last one left. */
  onRemove: (() => void) | null;
}

function MovementFields({ place, movement, onChange, onRemove }: MovementFieldsProps) {
  // A name that is being typed may be empty for a moment; the dose keeps the last one that was none.
  const [name, setName] = useState(movement.name);
  return (
    <View role="listitem" className="gap-2 border-l-4 border-line pl-3">
      <Field
        label={`Movement ${place}`}
        value={name}
        maxLength={60}
        error={name.trim() === "" ? `Name the movement; until then it is ${movement.name}.` : undefined}
        onChange={(e) => {
          setName(e.currentTarget.value);
          if (e.currentTarget.value.trim() !== "") onChange({ ...movement, name: e.currentTarget.value });
        }}
      />
      <Seconds
        label={`Movement ${place} takes${movement.back ? ", one way" : ""}`}
        value={movement.seconds}
        least={5}
        most={600}
        step={5}
        onChange={(seconds) => onChange({ ...movement, seconds })}
      />
      <Amount
        label={`Movement ${place} covers${movement.back ? ", one way" : ""}`}
        value={movement.metres}
        least={0}
        most={400}
        step={5}
        show={(n) => `${n} m`}
        onChange={(metres) => onChange({ ...movement, metres })}
      />
      <Amount
        label={`Actions in movement ${place}`}
        value={movement.actions ?? -1}
        least={-1}
        most={60}
        show={(n) => (n < 0 ? "not counted" : String(n))}
        onChange={(n) => {
          const { actions: _, ...uncounted } = movement;
          onChange(n < 0 ? uncounted : { ...movement, actions: n });
        }}
      />
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={`There and back, movement ${place}`}
          short="There and back"
          pressed={movement.back === true}
          look={movement.back ? "full" : "outline"}
          onPress={() => {
            const { back, ...oneWay } = movement;
            onChange(back ? oneWay : { ...movement, back: true });
          }}
        />
        <Button
          label={`Breather, movement ${place}`}
          short={movement.breather ? "A breather" : "Make it a breather"}
          pressed={movement.breather}
          look={movement.breather ? "full" : "outline"}
          className="flex-1"
          onPress={() => onChange({ ...movement, breather: !movement.breather })}
        />
        {onRemove ? (
          <Button label={`Remove movement ${place}`} icon="remove" iconOnly onPress={onRemove} />
        ) : null}
      </View>
      {movement.breather ? (
        <Text className="font-text text-small text-muted">Easy on purpose, between two hard ones.</Text>
      ) : null}
    </View>
  );
}
