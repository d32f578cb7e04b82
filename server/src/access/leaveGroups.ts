import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";

/** What stands for somebody who was deleted in what others did with them: how many they were stays true. */
const GONE = "Somebody who was deleted";

/** Takes an athlete who is deleted out of the groups of others' starts, and their name out of others' runs. */
export async function leaveGroups(
  { sequelize }: Pick<Database, "sequelize">,
  clubId: string,
  id: string,
  transaction: Transaction,
): Promise<void> {
  for (const statement of [
    `UPDATE starts SET version = version + 1,
        setting = jsonb_set(setting, '{group}', (setting -> 'group') - :id::text)
      WHERE club_id = :clubId AND setting -> 'group' @> to_jsonb(:id::text)`,
    `UPDATE runs SET plan = jsonb_set(plan, '{group}', (
        SELECT jsonb_agg(CASE WHEN m ->> 'id' = :id THEN m || jsonb_build_object('name', :gone::text) ELSE m END)
        FROM jsonb_array_elements(plan -> 'group') m))
      WHERE club_id = :clubId AND plan -> 'group' @> jsonb_build_array(jsonb_build_object('id', :id::text))`,
  ])
    await sequelize.query(statement, { replacements: { id, clubId, gone: GONE }, transaction });
}
