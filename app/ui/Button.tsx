import { Pressable, Text } from "react-native";
import { Icon, type IconName } from "./Icon";

type Look = "full" | "outline" | "plain";

const box: Record<Look, string> = {
  full: "bg-press",
  outline: "border-2 border-press",
  plain: "",
};
const ink: Record<Look, { text: string; icon: string }> = {
  full: { text: "text-on-press", icon: "on-press" },
  outline: { text: "text-press", icon: "press" },
  plain: { text: "text-ink", icon: "ink" },
};

export interface ButtonProps {
  label: string;
  /** Shown instead of the label where there is little room; the label is then for those who listen. */
  short?: string;
  onPress: () => void;
  look?: Look;
  icon?: IconName;
  /** Shows the icon alone; the label is then for those who listen. */
  iconOnly?: boolean;
  disabled?: boolean;
  pressed?: boolean;
  /** Whether what it opens is open. */
  expanded?: boolean;
  className?: string;
}

/** Everything that is pressed, at least 48 px high and wide. */
export function Button({
  label,
  short,
  onPress,
  look = "outline",
  icon,
  iconOnly,
  disabled,
  pressed,
  expanded,
  className,
}: ButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={pressed}
      aria-expanded={expanded}
      disabled={disabled}
      onPress={onPress}
      className={`min-h-press min-w-press max-w-full flex-row items-center justify-center gap-2 ${iconOnly || icon ? "px-2" : "px-4"} ${box[look]} ${disabled ? "opacity-50" : "active:opacity-70"} ${className ?? ""}`}
    >
      {icon ? <Icon name={icon} size={22} color={ink[look].icon} /> : null}
      {iconOnly ? null : (
        <Text className={`max-w-full shrink break-words font-strong text-body ${ink[look].text}`}>
          {short ?? label}
        </Text>
      )}
    </Pressable>
  );
}
