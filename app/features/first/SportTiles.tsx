import type { Starter } from "@tonodrome/core/api";
import { Pressable, Text, View } from "react-native";
import { Icon } from "~/ui/Icon";

interface SportTilesProps {
  starters: readonly Starter[];
  /** Keys of those that are chosen. */
  values: readonly string[];
  onChange: (values: string[]) => void;
}

/** The sports that there are shelves for, as tiles: any number of them, or none. */
export function SportTiles({ starters, values, onChange }: SportTilesProps) {
  return (
    <View className="gap-3">
      <View className="gap-1">
        <Text role="heading" aria-level={2} className="font-strong text-lead text-ink">
          What do you coach?
        </Text>
        <Text className="font-text text-body text-muted">
          You get its drills and an event, to change as you like. None of these? Go on without.
        </Text>
      </View>
      <View role="group" aria-label="What do you coach?" className="flex-row flex-wrap gap-2">
        {starters.map(({ key, name, events: [event] }) => {
          const chosen = values.includes(key);
          return (
            <Pressable
              key={key}
              role="checkbox"
              aria-checked={chosen}
              aria-label={name}
              onPress={() => onChange(chosen ? values.filter((v) => v !== key) : [...values, key])}
              className={`min-h-press min-w-[9.5rem] flex-1 basis-[45%] border-2 px-3 py-2 ${chosen ? "border-press bg-press" : "border-muted"}`}
            >
              <View className="flex-row items-center gap-2">
                <Text
                  className={`min-w-0 flex-1 font-strong text-body ${chosen ? "text-on-press" : "text-ink"}`}
                >
                  {name}
                </Text>
                {chosen ? <Icon name="done" size={20} color="on-press" /> : null}
              </View>
              {event ? (
                <Text className={`font-text text-small ${chosen ? "text-on-press" : "text-muted"}`}>
                  {event.name}
                </Text>
              ) : null}
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
