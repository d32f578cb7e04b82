import { cutText } from "../words/cutText";
import { climbEfforts } from "./climbEfforts";
import { EASY_PERCENT, type LadderShape, type LadderWish } from "./ladderWish";
import { doseOf, easyFirst, type RungOutline, restAfter, rungOutline } from "./rungOutline";
import { CONFIDENT_PERCENT, hardestConfident, labelFor } from "./scaleLabels";

/** Stages for a shape whose labels nobody gave. */
const USUAL_LABELS: Partial<Record<LadderShape, readonly string[]>> = {
  targets: ["First target", "Second target"],
  distances: ["Near", "Middle", "Far"],
  realism: ["Standing, self-fed", "With the approach", "Answering a feed", "As in competition"],
};

/** The rungs of a wish's shape, with the fewest and the wanted amounts; what it cannot give goes into the notes. */
export function outline(wish: LadderWish, notes: string[]): RungOutline[] {
  switch (wish.shape) {
    case "even":
    case "partners":
      return easyFirst(climb(wish, wish.bottom, wish.top, null), wish);
    case "realism":
      return easyFirst(stages(wish), wish);
    case "distances":
      return easyFirst(
        labelsOf(wish).flatMap((label) => climb(wish, wish.bottom, wish.top, label)),
        wish,
      );
    case "targets":
      return easyFirst(
        labelsOf(wish).flatMap((label, i) =>
          // The first target carries the whole climb; the others begin where it is warm already.
          climb(
            wish,
            i === 0 ? wish.bottom : Math.max(wish.bottom, wish.top - 2 * wish.stepPoints),
            wish.top,
            label,
          ),
        ),
        wish,
      );
    case "confidence":
      return confidence(wish, notes);
  }
}

function labelsOf({ shape, labels }: LadderWish): string[] {
  return labels.length > 0 ? labels.map((l) => l.name) : [...(USUAL_LABELS[shape] ?? [])];
}

/** Even steps; each rung named by the scale, or by the one label given. */
function climb(wish: LadderWish, from: number, to: number, label: string | null): RungOutline[] {
  return climbEfforts(from, to, wish.stepPoints).map((intensity) =>
    rungOutline(wish, intensity, label === null ? labelFor(wish.labels, intensity) : { name: label }),
  );
}

/** One stage after another, with as many steps in a stage as the climb needs. */
function stages(wish: LadderWish): RungOutline[] {
  const names = labelsOf(wish);
  const efforts = climbEfforts(wish.bottom, wish.top, wish.stepPoints, names.length);
  return efforts.map((intensity, i) => {
    const at = Math.min(names.length - 1, Math.floor((i * names.length) / efforts.length));
    return rungOutline(wish, intensity, { name: names[at] ?? "" });
  });
}

/** Two easy levels in turn, a climb without a rest, a rest, two efforts that should succeed. */
function confidence(wish: LadderWish, notes: string[]): RungOutline[] {
  const { bottom, top, stepPoints, labels, easyReps, secondsEach } = wish;
  const easyTop = Math.min(
    bottom + stepPoints,
    top,
    bottom <= EASY_PERCENT ? Math.max(bottom, EASY_PERCENT) : top,
  );
  const [low, high] = [bottom, easyTop].map((effort) => labelFor(labels, effort)?.name ?? `${effort} %`);
  const rounds = Math.max(1, Math.ceil(easyReps / 2));
  const inTurn: RungOutline = {
    key: "in turn",
    label: low === high ? (low ?? "") : cutText(`${low} and ${high} in turn`, 60),
    intensity: easyTop,
    chancePercent: undefined,
    least: rounds,
    wanted: Math.max(rounds, 5),
    dose: (amount, least) => ({
      kind: "circuit",
      movements: [low, high].map((name) => ({
        name: cutText(name ?? "Easy", 60),
        seconds: Math.max(5, secondsEach),
        metres: 0,
        breather: false,
      })),
      rounds: { floor: least, ideal: amount, ceiling: amount },
      restSeconds: 0,
      roundRestSeconds: 0,
    }),
    restSeconds: 0,
  };
  const target = hardestConfident(labels, top);
  if (labels.length > 0 && !target)
    notes.push(
      `Nothing on the scale up to ${top} % succeeds ${CONFIDENT_PERCENT} times in 100: the two last efforts are by effort alone.`,
    );
  const last = target ? Math.min(top, target.intensity) : top;
  const once = (intensity: number, restSeconds: number): RungOutline => ({
    ...rungOutline(wish, intensity, labelFor(labels, intensity)),
    key: "once",
    least: 1,
    wanted: 1,
    dose: (amount, least) =>
      doseOf({ ...wish, shape: "even", rest: { kind: "none" } }, intensity, amount, least),
    restSeconds,
  });
  const up = climbEfforts(easyTop, top, stepPoints).slice(1);
  const longRest = Math.max(180, restAfter(wish));
  const between = Math.max(180, Math.min(240, longRest));
  return [
    inTurn,
    ...up.map((intensity, i) => once(intensity, i === up.length - 1 ? longRest : 0)),
    {
      ...rungOutline(wish, last, target ?? null),
      key: "confident",
      least: 1,
      wanted: 2,
      dose: (amount, least) => ({
        kind: "attempts",
        attempts: { floor: least, ideal: amount, ceiling: amount },
        secondsEach,
        sides: "one",
        rest: { kind: "fixed", seconds: between },
      }),
      restSeconds: 0,
    },
  ];
}
