import { readConfig } from "../config";
import { connect } from "../db/connect";
import { migrate } from "../db/migrate";
import { resetDemo } from "./seedDemo";

const database = connect(readConfig(process.env).databaseUrl);
await migrate(database.sequelize);
await resetDemo(database, new Date());
await database.sequelize.close();
