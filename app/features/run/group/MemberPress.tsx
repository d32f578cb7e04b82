import { Pressable, Text } from "react-native";

interface MemberPressProps {
  name: string;
  /** How they stand, in a word. */
  word: string;
  /** Whether that is the good one, and whether it is the bad one: struck through. */
  on: boolean;
  off: boolean;
  /** Null where there is nothing to press. */
  onPress: (() => void) | null;
}

/** One name of a group: half a phone wide, so that two dozen of them are nearly all in sight. */
export function MemberPress({ name, word, on, off, onPress }: MemberPressProps) {
  return (
    <Pressable
      role="button"
      aria-label={`${name}, ${word}`}
      aria-pressed={on}
      disabled={onPress === null}
      onPress={() => onPress?.()}
      className={`min-h-press w-1/2 justify-center border border-line px-2 ${on ? "bg-press" : ""}`}
    >
      <Text
        numberOfLines={1}
        className={`font-strong text-body ${on ? "text-on-press" : "text-ink"} ${off ? "line-through" : ""}`}
      >
        {name}
      </Text>
      <Text className={`font-text text-small ${on ? "text-on-press" : "text-muted"}`}>{word}</Text>
    </Pressable>
  );
}
