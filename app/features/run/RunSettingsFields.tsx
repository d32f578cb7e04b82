import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Chip } from "~/ui/Chip";
import { Section } from "~/ui/Section";
import { Stepper } from "~/ui/Stepper";
import { changeRunSettings, type RunSettings, useRunSettings } from "./runSettings";
import { giveCue } from "./useCues";

const SWITCHES: [keyof RunSettings & ("tones" | "speech" | "vibration" | "silent"), string][] = [
  ["tones", "Tones"],
  ["speech", "Spoken names"],
  ["vibration", "Vibration"],
  ["silent", "Silent"],
];

const MOST = 15;

/** How a run sounds, looks and goes on by itself, on this device. */
export function RunSettingsFields() {
  const settings = useRunSettings();
  const flip = (key: keyof RunSettings) => changeRunSettings({ [key]: !settings[key] });
  const { refitMinutes } = settings;
  return (
    <>
      <Section title="Sound">
        <View className="flex-row flex-wrap gap-2">
          {SWITCHES.map(([key, label]) => (
            <Chip key={key} role="checkbox" label={label} chosen={settings[key]} onPress={() => flip(key)} />
          ))}
        </View>
        <Button label="Test" onPress={() => giveCue("begin", "This is how it sounds", settings)} />
      </Section>
      <Section title="By itself">
        <View className="flex-row flex-wrap gap-2">
          <Chip
            role="checkbox"
            label="Begins by itself"
            chosen={settings.beginsItself}
            onPress={() => flip("beginsItself")}
          />
          <Chip
            role="checkbox"
            label="Re-fits at once"
            chosen={settings.appliesAtOnce}
            onPress={() => flip("appliesAtOnce")}
          />
        </View>
        <Stepper
          label="Offer a re-fit when off by"
          value={refitMinutes === 0 ? "never" : `${refitMinutes} min`}
          atLeast={refitMinutes === 0}
          atMost={refitMinutes === MOST}
          onLess={() => changeRunSettings({ refitMinutes: refitMinutes - 1 })}
          onMore={() => changeRunSettings({ refitMinutes: refitMinutes + 1 })}
        />
      </Section>
      <Section title="Simulated stand-ins">
        <Text className="font-text text-small text-muted">
          No real running order or strap is connected. These two are made up, to try a run with.
        </Text>
        <View className="flex-row flex-wrap gap-2">
          <Chip
            role="checkbox"
            label="Running order (simulated)"
            chosen={settings.followsOrder}
            onPress={() => flip("followsOrder")}
          />
          <Chip
            role="checkbox"
            label="Heart-rate strap (simulated)"
            chosen={settings.strap}
            onPress={() => flip("strap")}
          />
        </View>
      </Section>
      <Section title="Screen">
        <View className="flex-row flex-wrap gap-2">
          <Chip role="checkbox" label="Big type" chosen={settings.bigType} onPress={() => flip("bigType")} />
          <Chip
            role="checkbox"
            label="Mirror, no presses"
            chosen={settings.mirror}
            onPress={() => flip("mirror")}
          />
        </View>
      </Section>
    </>
  );
}
