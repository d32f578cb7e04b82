export default async function down() {
  await globalThis.endTestCluster?.();
}
