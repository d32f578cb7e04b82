import { connect } from "../db/connect";
import { migrate } from "../db/migrate";
import { readConfig } from "../process/config";
import { clearDemos } from "./layDemo";

const { databaseUrl } = readConfig(process.env);
await migrate(databaseUrl);
const database = connect(databaseUrl, 2);
await clearDemos(database);
await database.sequelize.close();
