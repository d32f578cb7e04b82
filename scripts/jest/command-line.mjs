import { buildCommandLine } from "../lib/buildCommandLine.mjs";

/** The command line is tried as people start it. */
export default buildCommandLine;
