import { readConfig } from "../config";
import { connect } from "../db/connect";
import { migrate } from "../db/migrate";
import { seedDemo } from "./seedDemo";

/** Takes the demo club away with everything in it and lays it anew. Other clubs are left alone. */
const database = connect(readConfig(process.env).databaseUrl);
await migrate(database.sequelize);
await database.sequelize.transaction(async (transaction) => {
  // Starts point at athletes without a cascade of their own, so they go first.
  const demo = "(SELECT id FROM clubs WHERE demo)";
  for (const table of ["runs", "starts"]) {
    await database.sequelize.query(`DELETE FROM ${table} WHERE club_id IN ${demo}`, { transaction });
  }
  await database.models.Club.destroy({ where: { demo: true }, transaction });
});
await seedDemo(database, new Date());
await database.sequelize.close();
