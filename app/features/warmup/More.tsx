import { approachName, spokenLength } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { coolDownSeconds } from "@tonodrome/core/cool-down";
import { View } from "react-native";
import { clockTime } from "~/ui/dates";
import { Section } from "~/ui/layout/Section";
import { MenuRow } from "~/ui/MenuRow";
import { words } from "~/ui/words";
import type { WarmUpModel } from "./model/useWarmUp";

/** Everything that is done with a warm-up now and then: what is used most first, each with what it holds now. */
export function More({ model }: { model: WarmUpModel }) {
  const { open, choose, draft, start } = model;
  const { items, origin } = draft.body;
  const empty = items.length === 0;
  return (
    <View className="gap-6">
      <View>
        <MenuRow
          label="Fill it from an approach, an earlier one or a template"
          now={origin ? `now from ${approachName(origin.approach)}` : ""}
          onPress={() => open("fill")}
        />
        <MenuRow
          label="The start: when, who, event, conditions, copy, delete"
          now={startWords(start)}
          onPress={() => open("start")}
        />
      </View>
      <Section title="The day">
        <MenuRow
          label={words.placesWindowsFixedPoints}
          now={dayWords(model.context)}
          onPress={() => open("day")}
        />
      </Section>
      <Section title="After the start">
        <MenuRow
          label={words.coolDown}
          now={
            draft.body.coolDown
              ? `${spokenLength(coolDownSeconds(draft.body.coolDown))}, as set here`
              : "as usual after its event"
          }
          onPress={() => open("cool-down")}
        />
      </Section>
      <Section title={words.thisWarmUp}>
        <MenuRow
          label={words.waitStepsAndLimits}
          now={`wait from ${spokenLength(draft.body.wait.leastSeconds)}, steps of ${draft.body.stepPoints}\u00a0points`}
          onPress={() => open("settings")}
        />
        <MenuRow
          label="Choose several drills"
          now={many(items.length, "drill")}
          disabled={empty}
          onPress={() => choose(true)}
        />
        <MenuRow label={words.keepAsATemplate} now="" disabled={empty} onPress={() => open("template")} />
        <MenuRow
          label={words.earlierVersions}
          now={`version ${start.plan.version}`}
          onPress={() => open("versions")}
        />
      </Section>
    </View>
  );
}

const many = (n: number, what: string) => `${n}\u00a0${what}${n === 1 ? "" : "s"}`;

/** @example "14:22, 12 °C, indoors" */
function startWords({ startsAt, zone, setting: { temperature, indoors } }: Start): string {
  const air = temperature === null ? "" : `${temperature < 0 ? `−${-temperature}` : temperature}\u00a0°C`;
  return [clockTime(startsAt, zone), air, indoors ? "indoors" : "outdoors"].filter(Boolean).join(", ");
}

/** @example "3 places, 2 windows, 1 fixed point" */
function dayWords({ places, points }: WarmUpModel["context"]): string {
  const windows = places.reduce((sum, p) => sum + p.windows.length, 0);
  return [many(places.length, "place"), many(windows, "window"), many(points.length, "fixed point")].join(
    ", ",
  );
}
