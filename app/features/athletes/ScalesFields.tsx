import { type Scale, type ScaleItem, scaleItemSchema, scaleKindSchema } from "@tonodrome/core";
import { useState } from "react";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { Amount, Percent } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { TextEdit } from "~/ui/fields/TextEdit";
import { PlainButton } from "~/ui/PlainButton";
import { toneClasses } from "~/ui/tone";
import { words } from "~/ui/words";

const KINDS = scaleKindSchema.options.map((value) => ({
  value,
  label: `${value[0]?.toUpperCase() ?? ""}${value.slice(1)}`,
}));

interface ScalesFieldsProps {
  scales: readonly Scale[];
  onChange: (scales: Scale[]) => void;
}

/** The athlete's own orders of things from easy to hard. */
export function ScalesFields({ scales, onChange }: ScalesFieldsProps) {
  const put = (id: string, more: Partial<Scale>) =>
    onChange(scales.map((s) => (s.id === id ? { ...s, ...more } : s)));
  const add = () =>
    onChange([
      ...scales,
      {
        id: uuid(),
        name: scales.length === 0 ? "Grades" : `Scale ${scales.length + 1}`,
        kind: "grade",
        items: [{ name: "The easiest", intensity: 20, chancePercent: 95 }],
      },
    ]);
  return (
    <View className="gap-4">
      {scales.map((scale) => (
        <View key={scale.id} className="gap-3 border-t-2 border-line pt-3">
          <TextEdit
            label="Name of the scale"
            value={scale.name}
            check={scaleItemSchema.shape.name}
            onChange={(name) => put(scale.id, { name })}
          />
          <Choice
            named
            label="Graded by"
            options={KINDS}
            value={scale.kind}
            onChange={(kind) => put(scale.id, { kind })}
          />
          <ScaleItems items={scale.items} onChange={(items) => put(scale.id, { items })} />
          <Button
            label={`Remove the scale ${scale.name}`}
            icon="remove"
            onPress={() => onChange(scales.filter((s) => s.id !== scale.id))}
          />
        </View>
      ))}
      <Button label="Add a scale" icon="add" disabled={scales.length >= 8} onPress={add} />
    </View>
  );
}

const byIntensity = (items: readonly ScaleItem[]) => items.toSorted((a, b) => a.intensity - b.intensity);

/** Steps from easy to hard; one is open at a time, and the order follows the effort. */
function ScaleItems({
  items,
  onChange,
}: {
  items: readonly ScaleItem[];
  onChange: (items: ScaleItem[]) => void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const put = (name: string, more: Partial<ScaleItem>) => {
    if (more.name !== undefined) setOpen(more.name);
    onChange(byIntensity(items.map((i) => (i.name === name ? { ...i, ...more } : i))));
  };
  const add = () => {
    const last = items.at(-1);
    const taken = new Set(items.map((i) => i.name));
    let n = items.length + 1;
    while (taken.has(`Step ${n}`)) n++;
    const item = {
      name: `Step ${n}`,
      intensity: Math.min(100, (last?.intensity ?? 10) + 10),
      chancePercent: null,
    };
    setOpen(item.name);
    onChange([...items, item]);
  };
  return (
    <View className="gap-1">
      <ol aria-label="Steps, easy to hard" className="m-0 list-none p-0">
        {items.map((item, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a step's name is what is being edited
          <li key={i}>
            <StepLine
              item={item}
              open={open === item.name}
              onPress={() => setOpen(open === item.name ? null : item.name)}
            />
            {open === item.name ? (
              <View className="mb-3 gap-2 border-l-4 border-press py-2 pl-3">
                <TextEdit
                  label="Name of the step"
                  value={item.name}
                  check={scaleItemSchema.shape.name}
                  onChange={(name) => put(item.name, { name })}
                />
                <Percent
                  label="Effort"
                  value={item.intensity}
                  least={0}
                  most={100}
                  onChange={(intensity) => put(item.name, { intensity })}
                />
                <Amount
                  label="Success rate"
                  value={item.chancePercent ?? 0}
                  least={0}
                  most={99}
                  step={5}
                  show={(n) => (n === 0 ? "?" : `${n} %`)}
                  onChange={(n) => put(item.name, { chancePercent: n === 0 ? null : n })}
                />
                <Button
                  label={`Remove ${item.name}`}
                  icon="remove"
                  disabled={items.length === 1}
                  onPress={() => onChange(items.filter((o) => o !== item))}
                />
              </View>
            ) : null}
          </li>
        ))}
      </ol>
      <Button label={words.addAStep} icon="add" disabled={items.length >= 24} onPress={add} />
    </View>
  );
}

function StepLine({ item, open, onPress }: { item: ScaleItem; open: boolean; onPress: () => void }) {
  const tone = toneClasses(item.intensity);
  return (
    <PlainButton
      aria-expanded={open}
      onClick={onPress}
      className={`mb-[3px] flex min-h-[48px] cursor-pointer items-center gap-2 border-0 px-3 text-left ${tone.fill} ${tone.text}`}
      style={{ width: "60%", marginLeft: `${item.intensity * 0.4}%` }}
    >
      <span className="line-clamp-2 min-w-0 flex-1 font-strong text-body">{item.name}</span>
      <span className="font-figures text-body tabular-nums">{item.intensity} %</span>
      <Text className="sr-only">
        {item.chancePercent === null ? "chance not known" : `succeeds ${item.chancePercent} %`}
      </Text>
    </PlainButton>
  );
}
