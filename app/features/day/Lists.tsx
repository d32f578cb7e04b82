import type { DayStep } from "@tonodrome/core/day";
import { listStands } from "@tonodrome/core/lists";
import { Pressable, Text, View } from "react-native";
import type { Ticks } from "~/data/day/useTicks";
import { Icon } from "~/ui/Icon";
import { Notice } from "~/ui/layout/Notice";
import { Section } from "~/ui/layout/Section";

/** Every list of the day, to be ticked off line by line beside the bag. */
export function Lists({ steps, ticked }: { steps: readonly DayStep[]; ticked: Ticks }) {
  const { ticks, failure, press } = ticked;
  const lists = listStands(steps, ticks);
  if (lists.length === 0)
    return <Notice text="No step has a list yet. A step, such as packing, is opened to write its lines." />;
  return (
    <View className="gap-6">
      {failure ? <Notice warn text={`Only on this device so far. ${failure}`} /> : null}
      {lists.map(({ step, name, lines }) => (
        <Section key={step} title={`${name}, ${lines.filter((l) => l.isOn).length} of ${lines.length}`}>
          <View role="group" aria-label={name}>
            {lines.map(({ line, isOn }) => (
              <Pressable
                key={line}
                role="checkbox"
                aria-checked={isOn}
                aria-label={line}
                onPress={() => press({ step, line }, !isOn)}
                className="min-h-press flex-row items-center gap-3 border-t-2 border-line"
              >
                <View
                  className={`h-8 w-8 items-center justify-center border-2 border-press ${isOn ? "bg-press" : ""}`}
                >
                  {isOn ? <Icon name="done" size={22} color="on-press" /> : null}
                </View>
                <Text
                  className={`flex-1 text-body ${isOn ? "font-text text-muted line-through" : "font-strong text-ink"}`}
                >
                  {line}
                </Text>
              </Pressable>
            ))}
          </View>
        </Section>
      ))}
    </View>
  );
}
