import { buildCommandLine } from "../lib/buildCommandLine.mjs";
import { buildBundles } from "./bundles.mjs";

/** The command line is tried as people start it. */
export default async function up(config, project) {
  await buildBundles(config, project);
  await buildCommandLine();
}
