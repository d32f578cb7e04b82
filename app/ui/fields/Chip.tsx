import { Pressable, Text } from "react-native";

interface ChipProps {
  label: string;
  /** What it looks like in use. */
  example?: string | undefined;
  chosen: boolean;
  /** One of several, or any number of them. */
  role: "radio" | "checkbox";
  onPress: () => void;
}

/** One of the choices that stand in sight: filled when it is chosen. */
export function Chip({ label, example, chosen, role, onPress }: ChipProps) {
  return (
    <Pressable
      role={role}
      aria-checked={chosen}
      onPress={onPress}
      className={`min-h-press min-w-press max-w-full items-center justify-center border-2 px-3 ${chosen ? "border-press bg-press" : "border-muted"}`}
    >
      <Text
        className={`max-w-full break-words font-strong text-body ${chosen ? "text-on-press" : "text-ink"}`}
      >
        {label}
      </Text>
      {example ? (
        <Text
          aria-hidden
          className={`max-w-full font-text text-small ${chosen ? "text-on-press" : "text-muted"}`}
        >
          {example}
        </Text>
      ) : null}
    </Pressable>
  );
}
