import { wordKey } from "@tonodrome/core";
import {
  clubParamsSchema,
  GENERAL_STARTER,
  type StarterInstall,
  starterInstalledSchema,
  starterInstallSchema,
  starterListSchema,
} from "@tonodrome/core/api";
import type { StarterShelf } from "@tonodrome/core/starter";
import type { Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { notFound, Refusal } from "../../errors/refusal";
import { readStarter } from "../../starters/readStarter";
import { shippedStarters } from "../../starters/shipped";
import { starterDrills, starterEvents } from "../../starters/starterDrills";
import { write } from "../../write/write";
import type { Resource } from "../context";

/** Most faults of a file that are told at once. */
const MOST_TOLD = 5;

/** Starter shelves: drills to begin with, put onto the club's own shelf. */
export const starters: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;

  /** Events of the sport that the club has not, by id or by name. */
  async function addEvents(clubId: string, shelf: StarterShelf, transaction: Transaction): Promise<void> {
    const rows = await models.EventType.findAll({
      where: { clubId },
      attributes: ["id", "name"],
      transaction,
    });
    const names = new Set(rows.map((row) => wordKey(row.name)));
    const fresh = starterEvents(shelf).filter(
      (e) => !names.has(wordKey(e.name)) && !rows.some((r) => r.id === e.id),
    );
    await checkQuota(context, models.EventType, "events", clubId, { clubId }, transaction, fresh.length);
    await models.EventType.bulkCreate(
      fresh.map((event) => ({ clubId, version: 1, archived: false, ...event })),
      { transaction, ignoreDuplicates: true },
    );
  }

  app.get(
    "/clubs/:clubId/starters",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, response: { 200: starterListSchema } },
    },
    async (request) => {
      const { clubId } = askerOf(request);
      const rows = await models.Drill.findAll({ where: { clubId }, attributes: ["id"] });
      const there = new Set(rows.map((row) => row.id));
      return {
        starters: shippedStarters(context.starterFolder).map((shelf) => {
          const { key, name, about, drills } = shelf;
          const installed = starterDrills(shelf).filter((d) => there.has(d.id)).length;
          const events = starterEvents(shelf).map(({ id, name }) => ({ id, name }));
          return { key, name, about, drills: drills.length, installed, events };
        }),
      };
    },
  );

  app.post(
    "/clubs/:clubId/starters",
    {
      config: { access: "build" },
      schema: {
        params: clubParamsSchema,
        body: starterInstallSchema,
        response: { 200: starterInstalledSchema },
      },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const shelf = shelfOf(request.body, context.starterFolder);
      const general = shippedStarters(context.starterFolder).find((s) => s.key === GENERAL_STARTER);
      const brings =
        "key" in request.body && general && shelf.key !== GENERAL_STARTER ? starterDrills(general) : [];
      const drills = [...brings, ...starterDrills(shelf)];
      const install = async (transaction: Transaction) => {
        const where = { clubId, id: drills.map((d) => d.id) };
        const rows = await models.Drill.findAll({ where, attributes: ["id"], transaction });
        const there = new Set(rows.map((row) => row.id));
        const fresh = drills.filter((d) => !there.has(d.id));
        await checkQuota(context, models.Drill, "drills", clubId, { clubId }, transaction, fresh.length);
        // Nothing that is there is written over, not even by somebody who installs at the same moment.
        await models.Drill.bulkCreate(
          fresh.map((drill) => ({ clubId, ...drill })),
          { transaction, ignoreDuplicates: true },
        );
        await addEvents(clubId, shelf, transaction);
        await audit(context, transaction, request, "shelf.install", {
          clubId,
          detail: { added: fresh.length, kept: there.size },
        });
        return { name: shelf.name, added: fresh.length, kept: drills.length - fresh.length };
      };
      return write(context, reply, install, {
        after: () => {
          changes.publish({ clubId, topic: "drills" });
          changes.publish({ clubId, topic: "events" });
        },
      });
    },
  );
  done();
};

function shelfOf(wanted: StarterInstall, folder: string): StarterShelf {
  if ("key" in wanted) {
    const found = shippedStarters(folder).find((s) => s.key === wanted.key);
    if (!found) throw notFound("starter shelf");
    return found;
  }
  const read = readStarter(wanted.text);
  if ("shelf" in read) return read.shelf;
  const { faults } = read;
  const told = faults
    .slice(0, MOST_TOLD)
    .map(({ line, path, message }) => `Line ${line}${path ? `, ${path}` : ""}: ${message}`);
  const more = faults.length > told.length ? ` And ${faults.length - told.length} more.` : "";
  throw new Refusal("invalid_input", `Nothing was installed. ${told.join(" ")}${more}`, { path: "text" });
}
