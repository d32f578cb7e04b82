import { z } from "zod";
import { nameSchema } from "../words/text";

/** Most athletes in one group, whose start it is among them. Custom: more than a class of children has. */
export const MOST_IN_GROUP = 30;

/** Who warms up with the athlete whose start it is, all led by one coach: athletes of the club. */
export const groupSchema = z
  .array(z.uuid({ error: "Name an athlete of the club." }))
  .max(MOST_IN_GROUP - 1, { error: `At most ${MOST_IN_GROUP} warm up as one group.` })
  .refine((ids) => new Set(ids).size === ids.length, { error: "An athlete is named twice in the group." });

/** One of a group, as a run keeps it: the name too, for a phone without a network. */
export const groupMemberSchema = z.strictObject({ id: z.uuid(), name: nameSchema });

export type GroupMember = z.infer<typeof groupMemberSchema>;

/** A group as a run keeps it: whose start it is first. */
export const runGroupSchema = z.array(groupMemberSchema).min(2).max(MOST_IN_GROUP);

/**
 * The group of a start with its names, whose start it is first, then by name. Who is not in the club any more is left out.
 * @returns nothing where nobody else is in it
 */
export function groupOf(
  { athlete, setting }: { athlete: GroupMember; setting: { group?: readonly string[] | undefined } },
  athletes: readonly GroupMember[],
): GroupMember[] | undefined {
  const others = athletes
    .filter((a) => a.id !== athlete.id && setting.group?.includes(a.id))
    .map(({ id, name }) => ({ id, name }))
    .sort((a, b) => a.name.localeCompare(b.name, "en"));
  return others.length > 0 ? [{ id: athlete.id, name: athlete.name }, ...others] : undefined;
}

/** How many warm up together, whose start it is among them. */
export const groupSize = ({ group = [] }: { group?: readonly string[] | undefined }): number =>
  group.length + 1;
