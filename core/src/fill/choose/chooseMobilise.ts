import type { Approach } from "../../approach/approaches";
import type { EventType } from "../../event/eventType";
import type { BodyArea } from "../../words/bodyArea";
import type { FillRules } from "../input/rules";
import { within } from "../shape/dosed";
import type { Shape } from "../shape/shape";
import { type Choice, type Chosen, choiceSeconds, hasPurpose } from "./choice";
import { NOTHING_LEFT } from "./left";
import { best } from "./pick";
import { warms } from "./why";
import { withDose } from "./withDose";

/** What mobilising is chosen by. */
export interface MobiliseFor {
  approach: Approach;
  event: Pick<EventType, "areas" | "effort"> | null;
  shape: Shape;
  rules: FillRules;
  raise: readonly Chosen[];
  technical: readonly Chosen[];
}

/** One drill takes at least and at most so long, seconds: six short slots are a well-liked form. Custom. */
const SLOT_LEAST = 30;
const SLOT_MOST = 120;
/** Where the age allows fewer explosive repetitions than this, they are left to the sport's own. Custom. */
const ADULT_EXPLOSIVE = 15;
/** Effort above which a drill of this part is none. Custom. */
const MOST_EFFORT = 50;
/** The same for who is about to aim: landings and hops are nothing for them. Custom. */
const MOST_EFFORT_AIMING = 40;

/** Greedily whatever warms most of what is still cold: the event's areas and those that the technical part loads; both sides. */
export function chooseMobilise(choices: readonly Choice[], of: MobiliseFor): Chosen[] {
  const { event, shape, raise, technical } = of;
  const wanted = new Set<BodyArea>([
    ...(event?.areas ?? []),
    ...technical.flatMap((t) => t.choice.details?.loads ?? []),
  ]);
  const pool = mobiliseChoices(choices, of);
  const cold = new Set(wanted);
  for (const { choice } of raise) for (const area of choice.details?.areas ?? []) cold.delete(area);
  const picked: Chosen[] = [];
  let left = shape.mobilise;
  const stillCold = (c: Choice) => (c.details?.areas ?? []).filter((a) => cold.has(a));
  const isSided = () => picked.some((p) => p.choice.sided) || !pool.some((c) => c.sided);
  const hasRoom = (c: Choice) =>
    picked.length < 2 || c.kept || (left >= NOTHING_LEFT && choiceSeconds(c) <= left * 1.25);
  while (picked.length < shape.most.mobilise) {
    const rest = pool.filter((c) => !picked.some((p) => p.choice === c) && hasRoom(c));
    const choice = best(
      rest,
      (c) =>
        stillCold(c).length * 12 +
        c.lean +
        (isSided() || !c.sided ? 0 : 20) +
        (hasPurpose(c, "activate") ? 2 : 0) -
        (c.explosive ? 10 : 0),
    );
    if (!choice) break;
    const areas = stillCold(choice);
    for (const area of areas) cold.delete(area);
    picked.push({
      choice,
      priority: areas.length > 0 || picked.length < 2 ? "useful" : "extra",
      why: warms(areas),
    });
    left -= choiceSeconds(choice);
  }
  return picked;
}

/** Drills that this part may be chosen from, as they would be done. */
export function mobiliseChoices(
  choices: readonly Choice[],
  of: Omit<MobiliseFor, "raise" | "technical">,
): Choice[] {
  const { shape } = of;
  const pool = choices.filter((c) => mobilises(c, of));
  // As many as there may be, the last of them an extra; no more than there are.
  const many = Math.max(2, Math.min(shape.most.mobilise - 1, pool.length));
  const slot = Math.min(SLOT_MOST, Math.max(SLOT_LEAST, shape.mobilise / many));
  return pool.map((c) => withDose(c, within(c.drill.dose, slot)));
}

/** Held stretches early, what taxes the brain late; the one that is last to go does both sides, where one does. */
export function inMobiliseOrder(picked: readonly Chosen[]): Chosen[] {
  const first = picked.find((p) => p.choice.sided) ?? picked[0];
  return picked
    .map((p): Chosen => (p === first ? { ...p, priority: "essential" } : p))
    .toSorted((a, b) => place(a.choice) - place(b.choice));
}

/**
 * The same with the hardest last, where the last would lead less far up than the sport's own begins.
 * @param entry effort that it has to leave off at, per cent
 */
export function leadingUpTo(ordered: readonly Chosen[], entry: number): Chosen[] {
  const last = ordered.at(-1);
  if (!last || last.choice.to >= entry) return [...ordered];
  const hardest = best(ordered, (c) => c.choice.to) as Chosen;
  return [...ordered.filter((c) => c !== hardest), hardest];
}

/** Whether a drill of this part fits the approach, the event and the rules. */
function mobilises(
  c: Choice,
  { approach, event, rules, shape }: Pick<MobiliseFor, "approach" | "event" | "rules" | "shape">,
): boolean {
  const isAiming = event?.effort === "precision";
  const most = Math.min(isAiming ? MOST_EFFORT_AIMING : MOST_EFFORT, rules.hardest);
  if (c.drill.phase !== "mobilise" || c.drill.intensity > most) return false;
  if (c.details?.flags.includes("static-hold") && approach.sides.stretching !== "short-holds") return false;
  // Hops are nothing for somebody about to aim, nor where there is hardly time to warm the joints.
  if (c.explosive && (isAiming || shape.isShort || rules.explosive < ADULT_EXPLOSIVE)) return false;
  return !(isAiming && hasPurpose(c, "prime"));
}

/** Held stretches early, what taxes the brain late, otherwise from easy to hard. */
function place(c: Choice): number {
  if (c.details?.flags.includes("static-hold")) return c.drill.intensity - 200;
  return c.drill.intensity + (hasPurpose(c, "coordinate") ? 200 : hasPurpose(c, "activate") ? 50 : 0);
}
