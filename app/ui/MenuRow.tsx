import { Pressable, Text, View } from "react-native";
import { Unbroken } from "~/ui/Unbroken";
import { Icon } from "./Icon";

interface MenuRowProps {
  label: string;
  /** What it holds now. */
  now: string;
  disabled?: boolean;
  onPress: () => void;
}

/** One line of a menu: what it opens, and what that holds now. */
export function MenuRow({ label, now, disabled = false, onPress }: MenuRowProps) {
  return (
    <Pressable
      role="button"
      aria-haspopup="dialog"
      aria-label={now ? `${label}: ${now}` : label}
      disabled={disabled}
      onPress={onPress}
      className={`min-h-press w-full flex-row items-center gap-3 border-t-2 border-line py-2 ${disabled ? "opacity-50" : ""}`}
    >
      <View className="min-w-0 flex-1">
        <Text className="font-strong text-body text-ink">{label}</Text>
        {now ? (
          <Text className="font-text text-small text-muted">
            <Unbroken text={now} />
          </Text>
        ) : null}
      </View>
      <Icon name="onward" size={22} color="muted" />
    </Pressable>
  );
}
