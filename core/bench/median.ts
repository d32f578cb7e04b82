/** The median time of a run, milliseconds, over so many of them. */
export function median(times: number, run: () => unknown): number {
  for (let i = 0; i < 5; i++) run();
  const took = Array.from({ length: times }, () => {
    const began = performance.now();
    run();
    return performance.now() - began;
  }).sort((a, b) => a - b);
  return took[Math.floor(times / 2)] as number;
}
