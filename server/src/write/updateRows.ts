import { type Model, type ModelStatic, QueryTypes, type Transaction } from "sequelize";
import type { Database } from "../db/connect";

/**
 * Changes many rows of a club with one statement: each gets what is given for it, and the next version. They are locked
 * already by whoever changes them.
 * @param rows each with its id and all of the same columns, by their names in the model
 */
export async function updateRows(
  { sequelize }: Pick<Database, "sequelize">,
  model: ModelStatic<Model>,
  clubId: string,
  rows: readonly ({ id: string } & Record<string, unknown>)[],
  transaction: Transaction,
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const quote = (name: string) => `"${name.replaceAll('"', '""')}"`;
  const attributes = model.getAttributes() as Record<string, { field?: string; type: { toSql(): string } }>;
  const columns = Object.keys(first).flatMap((name) => {
    const attribute = attributes[name];
    return attribute ? [{ name, field: quote(attribute.field ?? name), type: attribute.type.toSql() }] : [];
  });
  const changed = columns.filter(({ name }) => name !== "id");
  const [id] = columns.filter(({ name }) => name === "id");
  const { tableName } = model;
  await sequelize.query(
    `UPDATE ${quote(tableName)} t SET version = t.version + 1, ${changed.map((c) => `${c.field} = n.${quote(c.name)}`).join(", ")}
      FROM jsonb_to_recordset($2::jsonb) AS n(${columns.map((c) => `${quote(c.name)} ${c.type}`).join(", ")})
      WHERE t.club_id = $1 AND t.id = n.${quote(id?.name ?? "id")}`,
    { bind: [clubId, JSON.stringify(rows)], type: QueryTypes.UPDATE, transaction },
  );
}
