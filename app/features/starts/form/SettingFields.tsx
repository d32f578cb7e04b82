import { SESSION_KINDS, type Setting, sessionKindOf, sessionName } from "@tonodrome/core";
import type { ReactNode } from "react";
import { View } from "react-native";
import type { KitThere } from "~/data/day/useKitThere";
import { Amount } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { WordsField } from "~/ui/fields/WordsField";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";
import { GroupFields } from "./GroupFields";
import { WeatherFields } from "./WeatherFields";

interface SettingFieldsProps {
  setting: Setting;
  onChange: (setting: Setting) => void;
  /** Words that the shelf uses for spaces and equipment. */
  spaces: readonly string[];
  equipment: readonly string[];
  /** Kit that the event asks for, and what of it is there. */
  kit: readonly string[];
  kitThere: KitThere;
  /** Athletes of the club besides the one whose start it is. */
  others: readonly { id: string; name: string }[];
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
  kitThere,
  others,
  afterWeather,
}: SettingFieldsProps) {
  const change = (more: Partial<Setting>) => onChange({ ...setting, ...more });
  return (
    <View className="gap-3">
      <Choice
        label="Kind of start"
        named
        options={SESSION_KINDS.map((value) => ({ value, label: sessionName(value) }))}
        value={sessionKindOf(setting)}
        onChange={(session) => change({ session })}
      />
      <Choice
        label="Takes place"
        named
        options={[
          { value: "certain", label: "For certain" },
          { value: "through", label: "If through" },
        ]}
        value={setting.ifThrough ? "through" : "certain"}
        onChange={(value) => {
          const { ifThrough: _, ...certain } = setting;
          onChange(value === "through" ? { ...certain, ifThrough: true } : certain);
        }}
      />
      {kit.length > 0 ? (
        <MultiChoice
          label="Kit on arrival, checked"
          options={kit.map((value) => ({ value, label: value }))}
          values={kitThere.there}
          onChange={(there) => {
            for (const piece of kit)
              if (there.includes(piece) !== kitThere.there.includes(piece))
                kitThere.press(piece, there.includes(piece));
          }}
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
      <GroupFields
        others={others}
        group={setting.group ?? []}
        onChange={(group) => {
          const { group: _, ...alone } = setting;
          onChange(group.length > 0 ? { ...alone, group } : alone);
        }}
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
