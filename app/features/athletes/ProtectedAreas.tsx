import type { AthleteProfile } from "@tonodrome/core";
import { Text, View } from "react-native";
import { AREA_OPTIONS } from "~/features/shelf/detailWords";
import { Field } from "~/ui/fields/Field";
import { MultiChoice } from "~/ui/fields/MultiChoice";

type Areas = AthleteProfile["protectedAreas"];

/** Protected parts of the body, each until a day where one is known. */
export function ProtectedAreas({ areas, onChange }: { areas: Areas; onChange: (areas: Areas) => void }) {
  return (
    <View className="gap-3">
      <Text className="font-text text-small text-muted">
        Follow the clinician who treats them. Drills that load these parts are pointed out, with alternatives.
        Seen by the club's coaches and assistants and by the athlete, never in a shared link.
      </Text>
      <MultiChoice
        label="Protect"
        options={AREA_OPTIONS}
        values={areas.map((a) => a.area)}
        onChange={(chosen) =>
          onChange(chosen.map((area) => areas.find((a) => a.area === area) ?? { area, until: null }))
        }
      />
      {areas.map(({ area, until }) => (
        <Field
          key={area}
          label={`${area[0]?.toUpperCase()}${area.slice(1)}, protect until`}
          hint="Left empty: until it is removed."
          type="date"
          value={until ?? ""}
          onChange={(e) => {
            const day = e.currentTarget.value || null;
            onChange(areas.map((a) => (a.area === area ? { area, until: day } : a)));
          }}
        />
      ))}
    </View>
  );
}
