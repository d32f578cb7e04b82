import type { Setting } from "@tonodrome/core";
import type { ReactNode } from "react";
import { View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { WordsField } from "~/ui/fields/WordsField";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";
import { WeatherFields } from "./WeatherFields";

interface SettingFieldsProps {
  setting: Setting;
  onChange: (setting: Setting) => void;
  /** Words that the shelf uses for spaces and equipment. */
  spaces: readonly string[];
  equipment: readonly string[];
  /** Kit that the event asks for. */
  kit: readonly string[];
  /** What is done with the weather once it is set. */
  afterWeather?: ReactNode;
}

/** What there is on the day: weather, order, people, room and equipment. */
export function SettingFields({
  setting,
  onChange,
  spaces,
  equipment,
  kit,
  afterWeather,
}: SettingFieldsProps) {
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
      <WeatherFields setting={setting} onChange={change} />
      {afterWeather}
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
          label={words.equipment}
          hint="Left empty, everything counts as there."
          words={setting.equipment}
          known={equipment}
          onChange={(next) => change({ equipment: next })}
        />
      </Fold>
    </View>
  );
}
