/** A worker that answers questions about fits. By itself, because only the bundler knows where it lies. */
export const newFitWorker = (): Worker => new Worker(new URL("./fitWorker", import.meta.url));
