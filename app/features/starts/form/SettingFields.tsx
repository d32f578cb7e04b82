import type { Setting } from "@tonodrome/core";
import { View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { WordsField } from "~/ui/fields/WordsField";
import { Fold } from "~/ui/layout/Fold";

interface SettingFieldsProps {
  setting: Setting;
  onChange: (setting: Setting) => void;
  /** Words that the shelf uses for spaces and equipment. */
  spaces: readonly string[];
  equipment: readonly string[];
  /** Kit that the event asks for. */
  kit: readonly string[];
}

/** What there is on the day: weather, order, people, room and equipment. */
export function SettingFields({ setting, onChange, spaces, equipment, kit }: SettingFieldsProps) {
  const change = (more: Partial<Setting>) => onChange({ ...setting, ...more });
  return (
    <View className="gap-3">
      {kit.length > 0 ? (
        <MultiChoice
          label="Kit, checked"
          options={kit.map((value) => ({ value, label: value }))}
          values={setting.kitReady.filter((piece) => kit.includes(piece))}
          onChange={(kitReady) => change({ kitReady })}
        />
      ) : null}
      <Choice
        label="Where"
        options={[
          { value: "in", label: "Indoors" },
          { value: "out", label: "Outdoors" },
        ]}
        value={setting.indoors ? "in" : "out"}
        onChange={(where) => change({ indoors: where === "in" })}
      />
      <Amount
        label="Temperature"
        value={setting.temperature ?? 18}
        least={-30}
        most={50}
        show={(n) => (setting.temperature === null ? "?" : `${n} °C`)}
        onChange={(temperature) => change({ temperature })}
      />
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
            onChange={(wind) => change({ wind })}
          />
          <Choice
            label="Wet"
            options={[
              { value: "dry", label: "Dry" },
              { value: "wet", label: "Wet" },
            ]}
            value={setting.wet ? "wet" : "dry"}
            onChange={(wet) => change({ wet: wet === "wet" })}
          />
        </>
      )}
      <Amount
        label="Order in the group"
        value={setting.order ?? 0}
        least={0}
        most={99}
        show={(n) => (n === 0 ? "none" : `${n}.`)}
        onChange={(order) => change({ order: order === 0 ? null : order })}
      />
      <Amount
        label="Day of the competition"
        value={setting.day}
        least={1}
        most={14}
        onChange={(day) => change({ day })}
      />
      <Amount
        label="People at hand"
        value={setting.people}
        least={0}
        most={30}
        onChange={(people) => change({ people })}
      />
      <Fold
        title="Space and equipment that are there"
        open={setting.spaces.length + setting.equipment.length > 0}
      >
        <WordsField
          label="Spaces"
          hint="Left empty, everything counts as there."
          words={setting.spaces}
          known={spaces}
          most={12}
          onChange={(next) => change({ spaces: next })}
        />
        <WordsField
          label="Equipment"
          hint="Left empty, everything counts as there."
          words={setting.equipment}
          known={equipment}
          onChange={(next) => change({ equipment: next })}
        />
      </Fold>
    </View>
  );
}
