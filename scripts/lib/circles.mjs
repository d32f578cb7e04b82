/**
 * Folders that depend on each other in a circle, at every depth: files count as their folder, or as the one above it so
 * many steps from the root, so that neither rooms nor the rooms within them go round.
 * @param edges pairs of paths from the root of the project: a file, and one that it imports
 * @returns each circle as a sorted list of folders, the largest rooms first
 */
export function folderCircles(edges) {
  const depths = Math.max(0, ...edges.flat().map((file) => folder(file).length));
  const found = new Map();
  for (let depth = 1; depth <= depths; depth++) {
    const graph = new Map();
    for (const [from, to] of edges) {
      const [a, b] = [from, to].map((file) => folder(file).slice(0, depth).join("/"));
      if (a !== b) graph.set(a, (graph.get(a) ?? new Set()).add(b));
    }
    for (const circle of circlesOf(graph)) found.set(circle.join(" "), circle);
  }
  return [...found.values()];
}

const folder = (file) => file.split("/").slice(0, -1);

/** Strongly connected components of more than one node (Tarjan). */
function circlesOf(graph) {
  const order = new Map();
  const low = new Map();
  const stack = [];
  const circles = [];
  const visit = (node) => {
    order.set(node, order.size);
    low.set(node, order.get(node));
    stack.push(node);
    for (const next of graph.get(node) ?? []) {
      if (!order.has(next)) visit(next);
      if (stack.includes(next)) low.set(node, Math.min(low.get(node), low.get(next)));
    }
    if (low.get(node) !== order.get(node)) return;
    const circle = stack.splice(stack.indexOf(node));
    if (circle.length > 1) circles.push(circle.sort());
  };
  for (const node of graph.keys()) if (!order.has(node)) visit(node);
  return circles;
}
