import { useTheme } from "~/data/device/useTheme";
import { Button } from "~/ui/Button";

/** Light or dark. */
export function ThemeButton({ iconOnly }: { iconOnly?: boolean }) {
  const { theme, toggle } = useTheme();
  const other = theme === "dark" ? "light" : "dark";
  return (
    <Button
      label={other === "dark" ? "Dark" : "Light"}
      icon={other}
      look="plain"
      iconOnly={iconOnly ?? false}
      onPress={toggle}
    />
  );
}
