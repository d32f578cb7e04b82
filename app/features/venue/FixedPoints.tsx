import { type FixedPoint, tagSchema } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { TextEdit } from "~/ui/fields/TextEdit";
import { words } from "~/ui/words";

interface FixedPointsProps {
  points: readonly FixedPoint[];
  most: number;
  /** Places that a point may be at; where none are known, it is wherever the athlete is. */
  places?: readonly string[];
  onChange: (points: FixedPoint[]) => void;
}

/** Check-in, call and the like, each at its minutes before the start. */
export function FixedPoints({ points, most, places = [], onChange }: FixedPointsProps) {
  const put = (i: number, more: Partial<FixedPoint>) =>
    onChange(points.map((p, k) => (k === i ? { ...p, ...more } : p)));
  const add = () =>
    onChange([
      ...points,
      {
        name: points.length === 0 ? "Check-in" : "Call",
        minutesBefore: points.length === 0 ? 60 : 10,
        minutesLong: 5,
        closesPractice: false,
      },
    ]);
  return (
    <View className="gap-3">
      <Text className="font-strong text-body text-ink">Fixed points before the start</Text>
      {points.map((point, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a point has nothing else that stays the same while it is edited
        <View key={i} className="gap-2 border-l-4 border-line pl-3">
          <TextEdit
            label={`Fixed point ${i + 1}`}
            value={point.name}
            check={tagSchema}
            onChange={(name) => put(i, { name })}
          />
          <Amount
            label="Minutes before"
            value={point.minutesBefore}
            least={0}
            most={1440}
            step={5}
            onChange={(minutesBefore) =>
              put(i, { minutesBefore, minutesLong: Math.min(point.minutesLong, minutesBefore) })
            }
          />
          <Amount
            label="It takes, minutes"
            value={point.minutesLong}
            least={0}
            most={Math.min(240, point.minutesBefore)}
            onChange={(minutesLong) => put(i, { minutesLong })}
          />
          <Choice
            named
            label="After it"
            options={[
              { value: "open", label: "Practice goes on" },
              { value: "closed", label: "No practice after it" },
            ]}
            value={point.closesPractice ? "closed" : "open"}
            onChange={(after) => put(i, { closesPractice: after === "closed" })}
          />
          {places.length > 0 ? (
            <Choice
              named
              label={words.place}
              options={[
                { value: "", label: "Wherever they are" },
                ...places.map((value) => ({ value, label: value })),
              ]}
              value={point.place ?? ""}
              onChange={(place) => put(i, { place: place === "" ? undefined : place })}
            />
          ) : null}
          <Button
            label={`Remove ${point.name}`}
            icon="remove"
            onPress={() => onChange(points.filter((_, k) => k !== i))}
          />
        </View>
      ))}
      <Button label="Add a fixed point" icon="add" disabled={points.length >= most} onPress={add} />
    </View>
  );
}
