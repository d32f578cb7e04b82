import path from "node:path";
import { fileURLToPath } from "node:url";

export const root = path.resolve(fileURLToPath(new URL("../..", import.meta.url)));
/** Everything this machine keeps for the project and git ignores. TONODROME_DATA moves it. */
export const dataDir = path.resolve(process.env.TONODROME_DATA ?? path.join(root, ".data"));
export const inRoot = (...parts) => path.join(root, ...parts);
