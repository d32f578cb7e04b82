import { detailsOf, type StarterShelf } from "@tonodrome/core/starter";
import { v5 as uuidOf } from "uuid";

/** Whatever is named within this is Tonodrome's: a UUID made once and for all. */
const NAMESPACE = "6f1d1d7c-3b64-4b5e-9a55-5d2c7f0a9e41";

/** The id that a drill of a starter shelf has on every club's shelf, so that installing again finds it there. */
export function starterDrillId(shelfKey: string, drillKey: string): string {
  return uuidOf(`${shelfKey}/${drillKey}`, NAMESPACE);
}

/** The events of a starter shelf as a club has them. */
export function starterEvents(shelf: StarterShelf) {
  return (shelf.events ?? []).map(({ name, ...body }) => ({
    id: uuidOf(`${shelf.key}/event/${name}`, NAMESPACE),
    name,
    body,
  }));
}

/** The drills of a starter shelf as a club's shelf has them. */
export function starterDrills(shelf: StarterShelf) {
  const idOf = (key: string) => starterDrillId(shelf.key, key);
  return shelf.drills.map((drill) => {
    const { key, details: _, ...content } = drill;
    return { id: idOf(key), ...content, details: detailsOf(drill, idOf) };
  });
}
