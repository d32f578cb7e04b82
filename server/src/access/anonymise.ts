import { randomBytes } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { cutText, drillDetailsSchema, noProfile, planBodySchema } from "@tonodrome/core";
import { daySchema, runEventSchema, runPlanSchema, settingSchema } from "@tonodrome/core/api";
import { type Model, type ModelStatic, Op, type Transaction, type WhereOptions } from "sequelize";
import type { z } from "zod";
import type { Database } from "../db/connect";
import { notFound } from "../errors/refusal";
import { mapTexts } from "../validation/mapTexts";

/** Rows rewritten at a time. */
const ROWS_AT_A_TIME = 200;

/** Fields with a coach's words about the athlete: in the athlete's own things they are removed as a whole. */
const ABOUT_THEM = new Set(["focus", "why", "note", "notes", "first", "line"]);

/** Parts of a name that are shorter are too often other words. */
const LEAST_PART = 3;

/**
 * Replaces a name, and each part of it, wherever it is a word of a text, in any case and any Unicode form.
 * @param parts which parts of it, if other than all that are long enough to be told from other words
 * @example withoutName("For ADA FINCH's knee", "Ada Finch", "Athlete 1") // "For Athlete 1's knee"
 */
export function withoutName(text: string, name: string, by: string, parts = partsOf(name)): string {
  const composed = text.normalize("NFC");
  const wanted = [name, ...parts].map((part) => part.normalize("NFC").replace(/[.*+?^${}()|[\]\\]/g, "\\$&"));
  const whole = wanted.map((part) => part.replace(/\s+/gu, "\\s+")).join("|");
  const found = new RegExp(`(?<![\\p{L}\\p{N}])(?:${whole})(?![\\p{L}\\p{N}])`, "giu");
  const after = composed.replace(found, by);
  if (after === composed) return text;
  return cutText(after.replaceAll(new RegExp(`${by}(?:\\s+${by})+`, "g"), by), Math.max(FITS, text.length));
}

/** Parts of a name by which somebody is known. */
const partsOf = (name: string) => name.split(/\s+/u).filter((part) => part.length >= LEAST_PART);

/** The lowest most of any text: a text that grows with the new name is cut to it. */
const FITS = 40;

/**
 * Takes a person out of the club for good: their name wherever it stands, and what was said about them in words. What
 * they did and how long it took stays. Nobody is to be known as this athlete any more: not by an account, an
 * invitation or a link.
 * @throws Refusal `not_found`
 */
export async function anonymise(
  { sequelize, models }: Database,
  clubId: string,
  id: string,
  transaction: Transaction,
) {
  const athlete = await models.Athlete.findOne({
    where: { clubId, id },
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  if (!athlete) throw notFound("athlete");
  const { name: old, profile, version } = athlete;
  const name = `Athlete ${randomBytes(3).toString("hex")}`;
  const { ageBand, usualMinutes, usualReps, recentLoad, eventIds, approach } = profile;
  await athlete.update(
    {
      name,
      version: version + 1,
      profile: { ...noProfile(), ageBand, usualMinutes, usualReps, recentLoad, eventIds, approach },
    },
    { transaction },
  );

  const starts = await models.Start.findAll({
    where: { clubId, athleteId: id },
    attributes: ["id"],
    // A deletion may be taken back.
    paranoid: false,
    transaction,
  });
  const startId = starts.map((s) => s.id);
  const plans = await models.Plan.findAll({ where: { clubId, startId }, attributes: ["id"], transaction });
  const planId = plans.map((p) => p.id);
  const runs = await models.Run.findAll({
    where: { clubId, athleteId: id },
    attributes: ["id"],
    transaction,
  });
  const runId = runs.map((r) => r.id);

  const taken = (text: string) => withoutName(text, old, name);
  const own = (text: string, field: string) => (ABOUT_THEM.has(field) ? "" : taken(text));
  const inJson = (schema: z.ZodType, change: (text: string, field: string) => string) => (value: unknown) =>
    value === null ? null : mapTexts(schema, value, change);
  const plain = (value: unknown) => taken(String(value));

  /** Rewrites columns of the rows there are, some rows at a time, each column by its own rule. */
  async function rewrite(
    table: ModelStatic<Model>,
    where: WhereOptions,
    keys: string[],
    rules: Record<string, (value: unknown) => unknown>,
  ): Promise<string[]> {
    const columns = Object.keys(rules);
    const changed: string[] = [];
    for (let offset = 0; ; offset += ROWS_AT_A_TIME) {
      const rows = await table.findAll({
        where,
        attributes: [...keys, ...columns],
        order: keys,
        limit: ROWS_AT_A_TIME,
        offset,
        transaction,
      });
      for (const row of rows) {
        const before = row.get() as Record<string, unknown>;
        const after = Object.fromEntries(columns.map((c) => [c, rules[c]?.(before[c])]));
        if (columns.every((c) => isDeepStrictEqual(before[c], after[c]))) continue;
        const of = Object.fromEntries(keys.map((key) => [key, before[key]]));
        await table.update(after, { where: { clubId, ...of }, transaction });
        changed.push(String(before.id));
      }
      if (rows.length < ROWS_AT_A_TIME) return changed;
    }
  }
  const inPlan = { body: inJson(planBodySchema, own) };
  // A title says anything: nobody can tell what of it was about the athlete.
  const untitled = { title: () => "A start", venue: plain };
  await rewrite(models.Start, { clubId, id: startId }, ["id"], {
    ...untitled,
    setting: inJson(settingSchema, own),
  });
  await rewrite(models.Plan, { clubId, id: planId }, ["id"], inPlan);
  await rewrite(models.PlanEdit, { clubId, planId }, ["id"], inPlan);
  const inDay = (change: typeof own) => ({ steps: inJson(daySchema.shape.steps, change) });
  await rewrite(models.Day, { clubId, startId }, ["id"], inDay(own));
  await rewrite(models.Day, { clubId, athleteId: id }, ["id"], inDay(own));
  await rewrite(models.Run, { clubId, id: runId }, ["id"], { ...untitled, plan: inJson(runPlanSchema, own) });
  await rewrite(models.RunEvent, { clubId, runId }, ["runId", "id"], {
    event: inJson(runEventSchema, own),
  });
  // In what others did with them, in a group, only the name is theirs; and elsewhere the whole of it.
  const inGroup = (json: string, group: unknown) =>
    sequelize.literal(`${json} -> 'group' @> ${sequelize.escape(JSON.stringify(group))}::jsonb`);
  const others = { clubId, id: { [Op.notIn]: startId } };
  const together = await models.Start.findAll({
    where: { ...others, [Op.and]: inGroup("setting", id) },
    attributes: ["id"],
    paranoid: false,
    transaction,
  });
  const runsTogether = await models.Run.findAll({
    where: { clubId, [Op.and]: inGroup("plan", [{ id }]) },
    attributes: ["id", "startId"],
    transaction,
  });
  const partners = new Set([...together.map((s) => s.id), ...runsTogether.flatMap((r) => r.startId ?? [])]);
  const whole = (text: string) => withoutName(text, old, name, []);
  const says = (parts: readonly string[], ...columnsSaying: string[]) => {
    const wanted = parts.map(
      (part) =>
        `%${JSON.stringify(part.normalize("NFC"))
          .slice(1, -1)
          .replace(/[%_\\]/g, "\\$&")}%`,
    );
    const list = wanted.map((part) => sequelize.escape(part)).join(", ");
    const found = columnsSaying.map((column) => `normalize(${column}::text, NFC) ILIKE ANY (ARRAY[${list}])`);
    // In brackets: what it stands beside holds for each of them.
    return sequelize.literal(`(${found.join(" OR ")})`);
  };
  const changedStarts: string[] = [];
  const changedPlans: string[] = [];
  /** Takes the name out of what is others': by each of its parts, or as a whole. */
  async function takeFrom(
    starts: WhereOptions,
    of: WhereOptions,
    parts: readonly string[],
    change: typeof taken,
  ) {
    const named = [old, ...parts];
    const text = (value: unknown) => change(String(value));
    const titled = { title: text, venue: text };
    changedStarts.push(
      ...(await rewrite(
        models.Start,
        { clubId, ...starts, [Op.and]: says(named, "title", "venue", "setting") },
        ["id"],
        {
          ...titled,
          setting: inJson(settingSchema, change),
        },
      )),
    );
    const inBody = { body: inJson(planBodySchema, change) };
    const plansOf = await models.Plan.findAll({
      where: { clubId, ...of, [Op.and]: says(named, "body") },
      attributes: ["id"],
      transaction,
    });
    const bodies = { clubId, id: plansOf.map((p) => p.id) };
    changedPlans.push(...(await rewrite(models.Plan, bodies, ["id"], inBody)));
    await rewrite(models.PlanEdit, { clubId, [Op.and]: says(named, "body") }, ["id"], inBody);
    await rewrite(models.Run, { clubId, ...of, [Op.and]: says(named, "title", "venue", "plan") }, ["id"], {
      ...titled,
      plan: inJson(runPlanSchema, change),
    });
  }
  const ofPartners = { startId: [...partners] };
  await takeFrom({ id: [...partners] }, ofPartners, partsOf(old), taken);
  const theirRuns = await models.Run.findAll({
    where: { clubId, ...ofPartners },
    attributes: ["id"],
    transaction,
  });
  await rewrite(
    models.RunEvent,
    { clubId, runId: theirRuns.map((r) => r.id), [Op.and]: says([old, ...partsOf(old)], "event") },
    ["runId", "id"],
    { event: inJson(runEventSchema, taken) },
  );
  await takeFrom({ id: { [Op.notIn]: [...partners, ...startId] } }, {}, [], whole);
  const ticked = await models.Tick.findAll({
    where: { clubId, startId: { [Op.notIn]: startId }, [Op.and]: says([old, ...partsOf(old)], "line") },
    transaction,
  });
  for (const tick of ticked) {
    const line = taken(tick.line);
    if (line === tick.line) continue;
    await models.Tick.destroy({
      where: { clubId, startId: tick.startId, step: tick.step, line: tick.line },
      transaction,
    });
    await models.Tick.bulkCreate([{ ...tick.get(), line }], { ignoreDuplicates: true, transaction });
  }
  const elsewhere = { clubId };
  await rewrite(models.Order, elsewhere, ["id"], { title: plain, venue: plain });
  await rewrite(models.Template, elsewhere, ["id"], { name: plain, body: inJson(planBodySchema, taken) });
  await rewrite(models.Day, elsewhere, ["id"], inDay(taken));
  await rewrite(models.Drill, elsewhere, ["id"], {
    name: plain,
    focus: plain,
    place: plain,
    details: inJson(drillDetailsSchema, taken),
  });
  for (const statement of [
    // The words of ticked lines may name the person.
    `DELETE FROM ticks WHERE club_id = :clubId AND start_id IN (:startId)`,
    `UPDATE runs SET athlete_name = :name WHERE club_id = :clubId AND athlete_id = :id`,
    `UPDATE starts SET version = version + 1 WHERE club_id = :clubId AND (athlete_id = :id OR id IN (:changedStarts))`,
    `UPDATE plans SET version = version + 1 WHERE club_id = :clubId AND id IN (:planId)`,
    `UPDATE days SET version = version + 1
      WHERE club_id = :clubId AND (start_id IN (:startId) OR athlete_id = :id)`,
    // As every other version it is among the edits.
    `INSERT INTO plan_edits (club_id, plan_id, version, outcome, body)
      SELECT club_id, id, version, 'saved', body FROM plans WHERE club_id = :clubId AND id IN (:planId)`,
    `UPDATE members SET athlete_id = NULL WHERE club_id = :clubId AND athlete_id = :id`,
    `UPDATE invites SET withdrawn_at = now()
      WHERE club_id = :clubId AND athlete_id = :id AND withdrawn_at IS NULL`,
    `UPDATE calendars SET withdrawn_at = now()
      WHERE club_id = :clubId AND withdrawn_at IS NULL AND athlete_id = :id`,
    `UPDATE shares SET withdrawn_at = now()
      WHERE club_id = :clubId AND withdrawn_at IS NULL AND start_id IN (:startId)`,
  ]) {
    const replacements = {
      name,
      clubId,
      id,
      planId: [id, ...planId, ...changedPlans],
      changedStarts: [id, ...changedStarts],
      startId: startId.length > 0 ? startId : [id],
    };
    await sequelize.query(statement, { replacements, transaction });
  }
  return athlete;
}
