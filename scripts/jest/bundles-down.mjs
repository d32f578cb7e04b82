export { removeBundles as default } from "./bundles.mjs";
