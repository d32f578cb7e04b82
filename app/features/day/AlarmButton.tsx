import type { Start } from "@tonodrome/core/api";
import { arm, useArmed } from "~/data/device/armed";
import { playTone } from "~/features/run/sound/tones";
import { Button } from "~/ui/Button";

/** Off by default, one press: this device calls when to leave and when to begin. */
export function AlarmButton({ start }: { start: Start }) {
  const isOn = useArmed().includes(start.id);
  const press = () => {
    arm(start.id, !isOn);
    if (isOn) return;
    // Heard now, it may be heard later: a page sounds only after it was pressed.
    playTone("soon");
    if (typeof Notification !== "undefined" && Notification.permission === "default")
      void Notification.requestPermission();
  };
  return (
    <Button
      label={isOn ? "Alarms are on" : "Alarms are off"}
      icon={isOn ? "alarm" : "alarm-off"}
      iconOnly
      look={isOn ? "full" : "outline"}
      pressed={isOn}
      onPress={press}
    />
  );
}
