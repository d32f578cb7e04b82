import { removeBundles } from "./bundles.mjs";

export default async function down() {
  removeBundles();
  await globalThis.endTestCluster?.();
}
