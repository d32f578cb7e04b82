// The simulation's own time: hours pass in seconds, and nothing sleeps. It goes on only when everything that was asked of the
// server is answered.

/** A clock that all timers of all devices hang on. */
export function makeTime(begins) {
  let now = begins;
  let next = 1;
  const timers = new Map();
  let asked = 0;
  let wrote = 0;
  /** Whoever waits until all that was asked is answered. */
  const waiting = [];
  const rest = () => new Promise((done) => setImmediate(done));

  return {
    now: () => now,
    set(act, delay, owner) {
      const id = next++;
      timers.set(id, { at: now + Math.max(0, Number(delay) || 0), act, owner, id });
      return id;
    },
    clear: (id) => void timers.delete(id),
    clearOf(owner) {
      for (const [id, timer] of timers) if (timer.owner === owner) timers.delete(id);
    },
    /** Counts something that is asked of the real server until it is answered. */
    async io(promise, isWrite) {
      asked++;
      try {
        return await promise;
      } finally {
        asked--;
        if (isWrite) wrote = performance.now();
        if (asked === 0) for (const go of waiting.splice(0)) go();
      }
    },
    /** Waits until nothing is under way, and what was written has been told to whoever listens. */
    async quiet() {
      for (let calm = 0; calm < 3; ) {
        if (asked > 0) await new Promise((go) => waiting.push(go));
        await rest();
        const isTelling = performance.now() - wrote < TOLD;
        if (isTelling) await new Promise((done) => setTimeout(done, 5));
        calm = asked > 0 || isTelling ? 0 : calm + 1;
      }
    },
    /** Lets time pass until something is over. */
    async until(promise, step) {
      let isOver = false;
      const over = promise.finally(() => {
        isOver = true;
      });
      while (!isOver) await this.pass(100, step);
      return over;
    },
    /** Lets so much time pass. @param step told with each moment at which something happens */
    async pass(ms, step) {
      const until = now + ms;
      for (;;) {
        await this.quiet();
        const due = [...timers.values()]
          .filter((t) => t.at <= until)
          .sort((a, b) => a.at - b.at || a.id - b.id)[0];
        if (!due) break;
        timers.delete(due.id);
        if (due.at > now) {
          now = due.at;
          await step(now);
        }
        due.act();
      }
      now = until;
      await step(now);
      await this.quiet();
    },
  };
}

/** The server gathers what it tells for 20 ms, and the database passes it on, milliseconds of real time. */
const TOLD = 45;
