/** Jest runs a set-up file once for all projects that name it: this project has one of its own. */
export { buildBundles as default } from "./bundles.mjs";
