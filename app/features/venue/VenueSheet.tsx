import { type Setting, tagSchema, type VenuePlace } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { useStartDraft } from "~/data/starts/useStartDraft";
import { SavedLine } from "~/features/starts/form/SavedLine";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { TextEdit } from "~/ui/fields/TextEdit";
import { words } from "~/ui/words";
import { FixedPoints } from "./FixedPoints";
import { Ways } from "./Ways";
import { newWindow, Windows } from "./Windows";

const MOST_PLACES = 12;

/** The day as it is edited: what the event brings with it stands in it from the first change on. */
function wholeDay({ setting, facts }: Start): { setting: Setting } {
  return {
    setting: {
      ...setting,
      places: setting.places ?? facts.places.map((name) => ({ name, windows: [] })),
      travel: setting.travel ?? [],
      points: setting.points ?? [...facts.points],
    },
  };
}

/** The venue on the day: places and when they are open, the ways between them, and what is fixed before the start. */
export default function DaySheet({ start }: { start: Start }) {
  const { draft, change: edit, state, save } = useStartDraft(start, wholeDay);
  const { setting } = draft;
  const places = setting.places ?? [];
  const names = places.map((p) => p.name);
  const change = (more: Partial<Setting>) => edit({ setting: { ...setting, ...more } });
  const put = (i: number, place: VenuePlace) =>
    change({ places: places.map((p, k) => (k === i ? place : p)) });
  const rename = (i: number, name: string) => change(renamed(setting, places[i]?.name ?? "", name, i));
  return (
    <View className="gap-4">
      <SavedLine state={state} save={save} />
      {places.map((place, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a place has nothing else that stays the same while it is edited
        <View key={i} className="gap-2 border-l-4 border-line pl-3" role="group" aria-label={place.name}>
          <TextEdit
            label={`Place ${i + 1}`}
            value={place.name}
            check={tagSchema}
            onChange={(name) => rename(i, name)}
          />
          {setting.indoors ? null : (
            <Choice
              named
              label={`Over ${place.name}`}
              options={[
                { value: "open", label: "Open" },
                { value: "shade", label: "Shade" },
                { value: "indoors", label: words.indoors },
              ]}
              value={place.cover ?? "open"}
              onChange={(cover) => put(i, { ...place, cover: cover === "open" ? undefined : cover })}
            />
          )}
          <Windows start={start} place={place} onChange={(windows) => put(i, { ...place, windows })} />
          <View className="flex-row flex-wrap gap-2">
            <Button
              label={`Add a window of ${place.name}`}
              short="Add a window"
              icon="add"
              disabled={place.windows.length >= 24}
              onPress={() =>
                put(i, { ...place, windows: [...place.windows, newWindow(start, place.windows)] })
              }
            />
            <Button
              label={`Remove ${place.name}`}
              short="Remove"
              icon="remove"
              onPress={() => change(without(setting, place.name))}
            />
          </View>
        </View>
      ))}
      <Button
        label="Add a place"
        icon="add"
        disabled={places.length >= MOST_PLACES}
        onPress={() => change({ places: [...places, { name: freeName(names), windows: [] }] })}
      />
      {places.length > 1 ? (
        <Ways places={names} travel={setting.travel ?? []} onChange={(travel) => change({ travel })} />
      ) : null}
      {places.length > 0 ? (
        <Choice
          named
          label="Where the start is"
          options={[{ value: "", label: "Right there" }, ...names.map((value) => ({ value, label: value }))]}
          value={setting.startPlace ?? ""}
          onChange={(place) => change({ startPlace: place === "" ? undefined : place })}
        />
      ) : null}
      <FixedPoints
        points={setting.points ?? []}
        most={16}
        places={names}
        onChange={(points) => change({ points })}
      />
      <Text className="font-text text-small text-muted">
        Windows stay at their time when the start moves; fixed points move with it. The venue's own rules come
        first.
      </Text>
    </View>
  );
}

function freeName(names: readonly string[]): string {
  let n = names.length + 1;
  while (names.includes(`Place ${n}`)) n++;
  return `Place ${n}`;
}

/** A place under another name, wherever it is named. */
function renamed(setting: Setting, from: string, to: string, index: number): Partial<Setting> {
  const same = (name: string) => (name === from ? to : name);
  return {
    places: (setting.places ?? []).map((p, i) => (i === index ? { ...p, name: to } : p)),
    travel: (setting.travel ?? []).map((t) => ({ ...t, from: same(t.from), to: same(t.to) })),
    points: (setting.points ?? []).map((p) => (p.place === from ? { ...p, place: to } : p)),
    ...(setting.startPlace === from ? { startPlace: to } : {}),
  };
}

/** Everything without a place. */
function without(setting: Setting, name: string): Partial<Setting> {
  return {
    places: (setting.places ?? []).filter((p) => p.name !== name),
    travel: (setting.travel ?? []).filter((t) => t.from !== name && t.to !== name),
    points: (setting.points ?? []).map((p) => (p.place === name ? { ...p, place: undefined } : p)),
    startPlace: setting.startPlace === name ? undefined : setting.startPlace,
  };
}
