// A device: the application's data layer in a realm of its own, with its own storage, clock, network and cookie.
import { readFileSync } from "node:fs";
import vm from "node:vm";

/** Reads one file with other lines in it: a bug that is put back. */
const withBug = (root, { file, edits }) => ({
  name: "bug",
  setup(build) {
    build.onLoad({ filter: /\.tsx?$/ }, ({ path }) => {
      if (path !== `${root}/${file}`) return null;
      const text = readFileSync(path, "utf8");
      return { contents: edits.reduce((all, [from, to]) => all.replace(from, () => to), text), loader: "ts" };
    });
  },
});

/** The application's data layer as one script. @param bug that is put back for it; none as it is */
export async function bundleDevice(root, bug = null) {
  const { build } = await import("esbuild");
  const { outputFiles } = await build({
    entryPoints: [`${root}/app/hall/device.ts`],
    bundle: true,
    write: false,
    format: "iife",
    platform: "browser",
    target: "es2022",
    define: { "process.env.NODE_ENV": '"production"' },
    alias: { "~": `${root}/app` },
    logLevel: "error",
    plugins: bug ? [withBug(root, bug)] : [],
  });
  return new vm.Script(outputFiles[0].text, { filename: "device.js" });
}

/** One storage of a device, shared by its tabs. */
function makeStorage(kept) {
  return new Proxy(
    {
      getItem: (key) => (kept.has(key) ? kept.get(key) : null),
      setItem: (key, value) => void kept.set(key, String(value)),
      removeItem: (key) => void kept.delete(key),
    },
    {
      ownKeys: () => [...kept.keys()],
      getOwnPropertyDescriptor: (_, key) =>
        kept.has(key) ? { value: kept.get(key), enumerable: true, configurable: true } : undefined,
    },
  );
}

/** How long answers to writes are on their way, milliseconds. */
const LATENCIES = [40, 150, 900, 60, 2_500];

/** Something that listens. */
function makeTarget() {
  const listeners = new Map();
  return {
    addEventListener: (type, act) => listeners.set(type, [...(listeners.get(type) ?? []), act]),
    removeEventListener: (type, act) =>
      listeners.set(
        type,
        (listeners.get(type) ?? []).filter((a) => a !== act),
      ),
    tell: (type, event = {}) => {
      for (const act of listeners.get(type) ?? []) act(event);
    },
  };
}

/**
 * Opens the application on a device.
 * @param device `{ name, kept, cookie, isOnline, off, server }`: what outlives a page
 * @param world time, what is counted of requests, and where the server is
 */
export function openRealm(script, device, world) {
  const { time } = world;
  const owner = {};
  const streams = new Set();
  const window = makeTarget();
  const document = { ...makeTarget(), visibilityState: "visible", documentElement: { dataset: {} } };
  const clockNow = () => time.now() + device.off;
  class DeviceDate extends Date {
    constructor(...args) {
      if (args.length === 0) super(clockNow());
      else super(...args);
    }
    static now() {
      return clockNow();
    }
  }

  async function fetchHere(path, init = {}) {
    const isWrite = init.method && init.method !== "GET";
    device.requests++;
    if (!device.isOnline || world.isDown()) throw new TypeError("Failed to fetch");
    const answer = await time
      .io(
        fetch(world.base(device) + path, {
          method: init.method ?? "GET",
          headers: { ...init.headers, ...(device.cookie ? { cookie: device.cookie } : {}) },
          ...(init.body ? { body: init.body } : {}),
        }).then(async (a) => ({ status: a.status, headers: a.headers, text: await a.text() })),
        isWrite,
      )
      .catch(() => {
        throw new TypeError("Failed to fetch");
      });
    const set = answer.headers.get("set-cookie");
    if (set) device.cookie = /tonodrome=;/.test(set) ? null : set.split(";")[0];
    world.heard(device, path, init, answer);
    // An answer is on its way for a while, in which people go on pressing.
    if (isWrite)
      await new Promise((arrived) => time.set(arrived, LATENCIES[device.requests % LATENCIES.length], owner));
    // The network went while it was on its way: the server has it, and nobody here knows.
    if (device.losesAnswers) throw new TypeError("Failed to fetch");
    return {
      ok: answer.status >= 200 && answer.status < 300,
      status: answer.status,
      headers: answer.headers,
      json: async () => JSON.parse(answer.text),
      clone: () => undefined,
    };
  }

  class Stream {
    static CLOSED = 2;
    readyState = 0;
    constructor(path) {
      this.path = path;
      streams.add(this);
      this.open();
    }
    async open() {
      this.abort = new AbortController();
      try {
        if (!device.isOnline || world.isDown()) throw new Error("offline");
        const answer = await fetch(world.base(device) + this.path, {
          headers: device.cookie ? { cookie: device.cookie } : {},
          signal: this.abort.signal,
        });
        if (answer.status !== 200) {
          this.readyState = 2;
          streams.delete(this);
          return this.onerror?.();
        }
        this.readyState = 1;
        this.onopen?.();
        let text = "";
        for await (const piece of answer.body.pipeThrough(new TextDecoderStream())) {
          text += piece;
          const parts = text.split("\n\n");
          text = parts.pop();
          for (const part of parts) if (part.startsWith("data: ")) this.onmessage?.({ data: part.slice(6) });
        }
        throw new Error("ended");
      } catch {
        if (this.readyState === 2) return;
        this.readyState = 0;
        this.onerror?.();
        this.timer = time.set(() => void this.open(), 2_000, owner);
      }
    }
    close() {
      this.readyState = 2;
      time.clear(this.timer);
      this.abort?.abort();
      streams.delete(this);
    }
  }

  const globals = {
    ...window,
    document,
    localStorage: makeStorage(device.kept),
    navigator: {
      get onLine() {
        return device.isOnline;
      },
    },
    location: { pathname: "/" },
    performance: { now: () => time.now() - world.began },
    fetch: fetchHere,
    EventSource: Stream,
    Date: DeviceDate,
    setTimeout: (act, delay) => time.set(act, delay, owner),
    clearTimeout: (id) => time.clear(id),
    setInterval: (act, every) => {
      const handle = { id: 0 };
      const again = () => {
        handle.id = time.set(again, every, owner);
        act();
      };
      handle.id = time.set(again, every, owner);
      return handle;
    },
    clearInterval: (handle) => handle && time.clear(handle.id),
    AbortSignal: { timeout: () => undefined },
    AbortController,
    Headers,
    URL,
    TextEncoder,
    TextDecoder,
    crypto: globalThis.crypto,
    queueMicrotask,
    structuredClone,
    console: { ...console, error: () => undefined },
    matchMedia: () => ({ matches: false }),
  };
  globals.window = globals;
  globals.self = globals;
  const context = vm.createContext(globals);
  context.globalThis = context;
  script.runInContext(context);
  return {
    ...context.device,
    tell: (type, event) => window.tell(type, event),
    end() {
      context.device.close();
      for (const stream of [...streams]) stream.close();
      time.clearOf(owner);
    },
  };
}
