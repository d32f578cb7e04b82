import { QueryTypes } from "sequelize";
import { connect } from "../db/connect";
import { migrate } from "../db/migrate";
import { readConfig } from "../process/config";
import { makeResetLink } from "./password/passwordReset";
import { makeOwnerLink } from "./session/ownerLink";

/*
 * Commands for whoever runs the server: `npm run access -- reset-link ADDRESS`, `npm run access -- owner-link CLUB`.
 */

const [command, ...words] = process.argv.slice(2);
const argument = words.join(" ").trim();
const { databaseUrl } = readConfig(process.env);
await migrate(databaseUrl);
const database = connect(databaseUrl, 2);

async function resetLink(): Promise<string> {
  const path = await makeResetLink(database, argument);
  return path
    ? `Whoever opens this link sets a new password for ${argument}, once, within a day: ${path}`
    : `Nobody has the address ${argument}. Nothing was made.`;
}

async function ownerLink(): Promise<string> {
  const clubs = await database.sequelize.query<{ id: string; name: string }>(
    "SELECT id, name FROM clubs WHERE NOT demo AND (id::text = $1 OR name = $1) ORDER BY id",
    { bind: [argument], type: QueryTypes.SELECT },
  );
  const [club] = clubs;
  if (!club) return `There is no club of the name or id ${argument}. Nothing was made.`;
  if (clubs.length > 1)
    return `Several clubs are called that; name one by its id:\n${clubs.map((c) => c.id).join("\n")}`;
  return `Whoever opens this link first is an owner of ${club.name}: ${await makeOwnerLink(database, club.id)}`;
}

const known: Record<string, () => Promise<string>> = { "reset-link": resetLink, "owner-link": ownerLink };
const act = known[command ?? ""];
console.log(
  act && argument !== ""
    ? await act()
    : "Type: npm run access -- reset-link ADDRESS, or: npm run access -- owner-link CLUB",
);
if (!act || argument === "") process.exitCode = 1;
await database.sequelize.close();
