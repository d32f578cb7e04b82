import { Text, View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { giveCue } from "~/features/run/sound/useCues";
import { Button } from "~/ui/Button";
import { Chip } from "~/ui/fields/Chip";
import { Section } from "~/ui/layout/Section";
import { changeRunSettings, type RunSettings, useRunSettings } from "./device/runSettings";

/** What is either on or off, and its name. */
type Switch = [
  { [K in keyof RunSettings]: RunSettings[K] extends boolean ? K : never }[keyof RunSettings],
  string,
];

const SOUND: Switch[] = [
  ["tones", "Tones"],
  ["speech", "Spoken names"],
  ["vibration", "Vibration"],
  ["silent", "Silent"],
];
const BY_ITSELF: Switch[] = [
  ["beginsItself", "Begins by itself"],
  ["appliesAtOnce", "Adjusts the plan at once"],
];
const STAND_INS: Switch[] = [
  ["followsOrder", "Running order (simulated)"],
  ["strap", "Heart-rate strap (simulated)"],
];
const SCREEN: Switch[] = [
  ["bigType", "Big type"],
  ["mirror", "Display only"],
];

const MOST_MINUTES = 15;

/** How a run sounds, looks and goes on by itself, on this device. */
export function RunSettingsFields() {
  const settings = useRunSettings();
  const { refitMinutes } = settings;
  return (
    <>
      <Section title="Sound">
        <Switches of={SOUND} settings={settings} />
        <Button label="Test" onPress={() => giveCue("begin", "This is how it sounds", settings)} />
      </Section>
      <Section title="Automatic">
        <Switches of={BY_ITSELF} settings={settings} />
        <Amount
          label="Offer to adjust the plan when off by"
          value={refitMinutes}
          {...{ least: 0, most: MOST_MINUTES }}
          show={(n) => (n === 0 ? "never" : `${n} min`)}
          onChange={(n) => changeRunSettings({ refitMinutes: n })}
        />
      </Section>
      <Section title="Simulated stand-ins">
        <Text className="font-text text-small text-muted">
          No real running order or strap is connected. These two are made up, to try a run with; the order
          moves the start, as a real one would.
        </Text>
        <Switches of={STAND_INS} settings={settings} />
      </Section>
      <Section title="Screen">
        <Switches of={SCREEN} settings={settings} />
      </Section>
    </>
  );
}

function Switches({ of, settings }: { of: Switch[]; settings: RunSettings }) {
  return (
    <View className="flex-row flex-wrap gap-2">
      {of.map(([key, label]) => (
        <Chip
          key={key}
          role="checkbox"
          label={label}
          chosen={settings[key]}
          onPress={() => changeRunSettings({ [key]: !settings[key] })}
        />
      ))}
    </View>
  );
}
