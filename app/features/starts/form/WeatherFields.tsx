import type { Setting } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, Percent } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { words } from "~/ui/words";

interface WeatherFieldsProps {
  setting: Setting;
  onChange: (more: Partial<Setting>) => void;
}

/** Temperatures that are set with one press, °C. */
const USUAL = [-5, 0, 5, 10, 15, 20, 25, 30, 35];
/** What the steppers begin with where nobody has looked yet. */
const FIRST_TEMPERATURE = 18;
const FIRST_HUMIDITY = 50;

/** What it is like: air, wind, wet, sun, and whether there is something warm to put on. */
export function WeatherFields({ setting, onChange }: WeatherFieldsProps) {
  const { temperature, humidity = null } = setting;
  return (
    <View className="gap-3">
      <Choice
        label="Where it is"
        options={[
          { value: "in", label: words.indoors },
          { value: "out", label: "Outdoors" },
        ]}
        value={setting.indoors ? "in" : "out"}
        onChange={(where) => onChange({ indoors: where === "in" })}
      />
      <Choice
        label="Temperature, about"
        named
        options={[
          { value: "?", label: "not known" },
          ...USUAL.map((n) => ({ value: String(n), label: `${n < 0 ? `−${-n}` : n}\u00a0°` })),
        ]}
        value={temperature === null ? "?" : String(temperature)}
        onChange={(value) =>
          // Humidity says nothing without it.
          onChange(value === "?" ? { temperature: null, humidity: null } : { temperature: Number(value) })
        }
      />
      <Amount
        label="Temperature"
        value={temperature ?? FIRST_TEMPERATURE}
        least={-30}
        most={50}
        show={(n) => (temperature === null ? "?" : `${n < 0 ? `−${-n}` : n}\u00a0°C`)}
        onChange={(next) => onChange({ temperature: next })}
      />
      {temperature === null ? null : (
        <Percent
          label={humidity === null ? "Humidity, not known: 50 % taken" : "Humidity"}
          value={humidity ?? FIRST_HUMIDITY}
          least={0}
          most={100}
          onChange={(next) => onChange({ humidity: next })}
        />
      )}
      {setting.indoors ? null : (
        <>
          <Choice
            label="Wind"
            options={[
              { value: "calm", label: "Calm" },
              { value: "breeze", label: "Breeze" },
              { value: "strong", label: "Strong wind" },
            ]}
            value={setting.wind}
            onChange={(wind) => onChange({ wind })}
          />
          <Choice
            label="Wet"
            options={[
              { value: "dry", label: "Dry" },
              { value: "wet", label: "Wet" },
            ]}
            value={setting.wet ? "wet" : "dry"}
            onChange={(wet) => onChange({ wet: wet === "wet" })}
          />
          <Choice
            label="Sun"
            options={[
              { value: "sun", label: "In the sun" },
              { value: "shade", label: "In the shade" },
            ]}
            value={setting.sun ?? null}
            onChange={(sun) => onChange({ sun })}
          />
        </>
      )}
      <Choice
        label="Warm layers"
        options={[
          { value: "yes", label: "Warm layers on in the wait" },
          { value: "no", label: "No warm layers" },
        ]}
        value={setting.layers === undefined ? null : setting.layers ? "yes" : "no"}
        onChange={(layers) => onChange({ layers: layers === "yes" })}
      />
    </View>
  );
}
