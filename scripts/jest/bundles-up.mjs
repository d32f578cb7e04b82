export { buildBundles as default } from "./bundles.mjs";
