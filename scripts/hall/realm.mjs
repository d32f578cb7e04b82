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

/** The storage of a device as one of its tabs sees it. @param told tells the other tabs what was written */
function makeStorage(kept, told) {
  const write = (key, value) => {
    if (value === null) kept.delete(key);
    else kept.set(key, value);
    told(key, value);
  };
  return new Proxy(
    {
      getItem: (key) => (kept.has(key) ? kept.get(key) : null),
      setItem: (key, value) => write(key, String(value)),
      removeItem: (key) => write(key, null),
    },
    {
      ownKeys: () => [...kept.keys()],
      getOwnPropertyDescriptor: (_, key) =>
        kept.has(key) ? { value: kept.get(key), enumerable: true, configurable: true } : undefined,
    },
  );
}

/** Locks between the tabs of a device, as far as the application asks for them. */
function makeLocks(device, held) {
  device.locks ??= new Set();
  return {
    async request(name, _options, act) {
      if (device.locks.has(name)) return act(null);
      device.locks.add(name);
      held.add(name);
      try {
        return await act({ name });
      } finally {
        device.locks.delete(name);
        held.delete(name);
      }
    },
  };
}

/** Answers of a later release: each thing in them has a field that nobody here knows. */
const asReleased = (text) =>
  JSON.stringify(JSON.parse(text), (_, value) =>
    value && typeof value === "object" && "id" in value ? { ...value, later: { said: ["more"] } } : value,
  );

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
 * @param device `{ name, kept, cookie, isOnline, off, server, tabs }`: what outlives a page
 * @param world time, what is counted of requests, and where the server is
 */
export function openRealm(script, device, world) {
  const { time } = world;
  const owner = {};
  const streams = new Set();
  const held = new Set();
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
    if (!device.isOnline || device.server.isDown) throw new TypeError("Failed to fetch");
    const answer = await time
      .io(
        fetch(device.server.base + path, {
          method: init.method ?? "GET",
          headers: {
            ...init.headers,
            "accept-encoding": "identity",
            ...(device.cookie ? { cookie: device.cookie } : {}),
          },
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
      json: async () => JSON.parse(world.isReleased ? asReleased(answer.text) : answer.text),
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
        if (!device.isOnline || device.server.isDown) throw new Error("offline");
        const answer = await fetch(device.server.base + this.path, {
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
    localStorage: makeStorage(device.kept, (key, newValue) => {
      for (const tab of device.tabs)
        if (tab !== page) time.set(() => tab.tell("storage", { key, newValue }), 1, null);
    }),
    navigator: {
      locks: makeLocks(device, held),
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
  context.dayOf = world.starts[0].id;
  const page = {};
  script.runInContext(context);
  return Object.assign(page, context.device, {
    tell: (type, event) => window.tell(type, event),
    end() {
      context.device.close();
      for (const stream of [...streams]) stream.close();
      for (const name of held) device.locks.delete(name);
      time.clearOf(owner);
    },
  });
}
