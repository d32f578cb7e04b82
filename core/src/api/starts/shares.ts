import { z } from "zod";
import { conditionsSchema } from "../../conditions/setting";
import { dayStepsSchema } from "../../day/daySteps";
import { drillDetailsShape } from "../../drill/details";
import { MOST_IN_GROUP } from "../../group/group";
import { MOST_DRILLS, planBodySchema, planItemSchema } from "../../plan/plan";
import { MOST_STEPS, runDrillSchema, runPlanSchema, sameStepSchema } from "../../run/steps/runPlan";
import { fitContextSchema } from "../../venue/context";
import { instantSchema, newIdSchema, versionSchema } from "../common/common";
import { MOST } from "../common/most";

/** A link lasts at most so long after its start, days, wherever that moves. Custom. */
export const LONGEST_SHARE_DAYS = 30;

/** How long a shared link lasts: to the end of the start's day, wherever that moves, or to an instant. */
export const shareInputSchema = z.strictObject({
  id: newIdSchema,
  until: z.union([z.literal("day"), instantSchema]),
});

/** A link that still works. Its secret is told once, when it is made. */
export const shareSchema = z.strictObject({
  id: z.uuid(),
  createdAt: z.iso.datetime(),
  expiresAt: z.iso.datetime(),
});
/** A link just made, with the secret that is shown once. */
export const newShareSchema = z.strictObject({ ...shareSchema.shape, token: z.string() });
/** Links that show one start. */
export const shareListSchema = z.strictObject({ shares: z.array(shareSchema).max(MOST.sharesOfStart) });

/** Every link of the club that works, for its owners. */
export const clubShareSchema = z.strictObject({
  ...shareSchema.shape,
  startId: z.uuid(),
  title: z.string(),
  athleteName: z.string(),
  /** Who made it, as they are called now. */
  madeBy: z.string().nullable(),
});
/** Links of a club that work. */
export const clubShareListSchema = z.strictObject({ shares: z.array(clubShareSchema).max(MOST.shares) });

const none = z.tuple([]);

/** What is known of a drill, as far as whoever does it has to know: nothing of what it spares or loads, and no ids. */
const sharedDetailsSchema = z.strictObject({
  purposes: drillDetailsShape.purposes,
  areas: drillDetailsShape.areas,
  loads: none,
  space: drillDetailsShape.space,
  equipment: drillDetailsShape.equipment,
  people: drillDetailsShape.people,
  actions: none,
  intensityFrom: z.literal(0),
  intensityTo: z.literal(100),
  realism: z.null(),
  distance: z.null(),
  cues: drillDetailsShape.cues,
  faults: drillDetailsShape.faults,
  /** Those that name no part of the body. */
  cautions: drillDetailsShape.cautions,
  leastAge: z.literal(0),
  called: drillDetailsShape.called,
  flags: drillDetailsShape.flags,
  easier: z.null(),
  harder: z.null(),
  instead: z.null(),
});

const { shape: item } = planItemSchema;

/** A drill as a link shows it, field by field: not why it was chosen, nor for whom. */
const sharedItemSchema = z.strictObject({
  id: item.id,
  drillId: z.null(),
  name: item.name,
  phase: item.phase,
  priority: item.priority,
  intensity: item.intensity,
  dose: item.dose,
  focus: item.focus,
  place: item.place,
  details: sharedDetailsSchema.optional(),
  restAfter: item.restAfter,
  free: item.free,
  after: item.after,
  calm: item.calm,
  wholePlace: item.wholePlace,
  alreadyOn: item.alreadyOn,
});

/** A warm-up as a link shows it: not what it was filled from, nor what could not be given and why. */
export const sharedPlanSchema = z.strictObject({
  items: z.array(sharedItemSchema).max(MOST_DRILLS),
  wait: planBodySchema.shape.wait,
  stepPoints: planBodySchema.shape.stepPoints,
  limits: planBodySchema.shape.limits,
});

/** A step of a run as a link shows it. */
const sharedStepSchema = runDrillSchema.omit({ drillId: true });
const press = { id: z.uuid(), at: instantSchema };
const ofStep = { ...press, of: z.string().max(40).optional() };

/** A press as a link shows it, kind by kind: of a re-fit what is done, not the line that says why. */
export const sharedPressSchema = z.discriminatedUnion("kind", [
  z.strictObject({ ...press, kind: z.literal("begin") }),
  z.strictObject({ ...ofStep, kind: z.literal("done") }),
  z.strictObject({ ...ofStep, kind: z.literal("skip") }),
  z.strictObject({ ...ofStep, kind: z.literal("extend"), seconds: z.number().int() }),
  z.strictObject({ ...press, kind: z.literal("hold") }),
  z.strictObject({ ...press, kind: z.literal("release") }),
  z.strictObject({ ...ofStep, kind: z.literal("back") }),
  z.strictObject({ ...press, kind: z.literal("jump"), to: z.string().max(40) }),
  z.strictObject({ ...press, kind: z.literal("insert"), drill: sharedStepSchema }),
  z.strictObject({ ...ofStep, kind: z.literal("hit") }),
  z.strictObject({ ...ofStep, kind: z.literal("miss") }),
  z.strictObject({
    ...press,
    kind: z.literal("refit"),
    drills: z.array(z.union([sameStepSchema, sharedStepSchema])).max(MOST_STEPS),
    waitSeconds: z.number().int(),
    until: instantSchema.optional(),
    line: z.literal(""),
  }),
  z.strictObject({ ...press, kind: z.literal("undo"), undoes: z.uuid() }),
  z.strictObject({
    ...press,
    kind: z.literal("start-moved"),
    startsAt: instantSchema,
    simulated: z.boolean().optional(),
  }),
  z.strictObject({ ...press, kind: z.literal("end") }),
]);

/** A run under way as a link shows it. */
export const sharedRunSchema = z.strictObject({
  plan: z.strictObject({
    drills: z.array(sharedStepSchema).max(MOST_STEPS),
    waitSeconds: runPlanSchema.shape.waitSeconds,
    startsAt: instantSchema,
    kind: runPlanSchema.shape.kind,
  }),
  events: z.array(sharedPressSchema).max(MOST.presses),
});

/**
 * Everything a shared link shows, and nothing else: a field that an athlete, a drill or a start gains later is not shared
 * until it is named here. What tells of somebody's health never is.
 */
export const sharedSchema = z.strictObject({
  clubName: z.string(),
  athleteName: z.string(),
  title: z.string(),
  venue: z.string(),
  zone: z.string(),
  startsAt: z.iso.datetime(),
  readyAt: z.iso.datetime(),
  plan: sharedPlanSchema,
  /** What it is like on the day, for the word on the state at the start. */
  conditions: conditionsSchema,
  /** What the day allows, so that it is fitted as the coach sees it. */
  context: fitContextSchema,
  /** The day counted back from the start: its steps, and by what a calendar knows them again. */
  day: z.strictObject({ id: z.uuid(), version: versionSchema, steps: dayStepsSchema }),
  /** How many warm up together; 1 for the athlete alone. Who the others are is not told. */
  group: z.number().int().min(1).max(MOST_IN_GROUP),
  /** The run under way, so that the athlete's own phone can follow it; null when there is none. */
  run: sharedRunSchema.nullable(),
  expiresAt: z.iso.datetime(),
});

export type Share = z.infer<typeof shareSchema>;
export type ClubShare = z.infer<typeof clubShareSchema>;
export type Shared = z.infer<typeof sharedSchema>;
export type SharedPlan = z.infer<typeof sharedPlanSchema>;
export type SharedPress = z.infer<typeof sharedPressSchema>;
export type SharedRun = z.infer<typeof sharedRunSchema>;
