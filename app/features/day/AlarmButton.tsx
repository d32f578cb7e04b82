import type { Start } from "@tonodrome/core/api";
import { useState } from "react";
import { arm } from "~/data/device/armed";
import { useArmed } from "~/data/device/useArmed";
import { playTone } from "~/features/run/sound/tones";
import { Button } from "~/ui/Button";
import { loadAlarmWatch } from "./loadAlarmWatch";

/** Off by default, one press: this device calls when to leave and when to begin. On means that it will, with or without a network. */
export function AlarmButton({ start }: { start: Start }) {
  const isOn = useArmed().includes(start.id);
  const [isMissed, setMissed] = useState(false);
  const press = () => {
    setMissed(false);
    if (isOn) return arm(start.id, false);
    // Heard now, it may be heard later: a page sounds only after it was pressed.
    playTone("soon");
    if (typeof Notification !== "undefined" && Notification.permission === "default")
      void Notification.requestPermission();
    loadAlarmWatch().then(
      () => arm(start.id, true),
      () => setMissed(true),
    );
  };
  return (
    <Button
      label={isOn ? "Alarms are on" : isMissed ? "No network: press again" : "Alarms are off"}
      icon={isOn ? "alarm" : "alarm-off"}
      iconOnly={!isMissed}
      look={isOn ? "full" : "outline"}
      pressed={isOn}
      onPress={press}
    />
  );
}
