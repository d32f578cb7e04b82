import { fork } from "node:child_process";
import { once } from "node:events";
import { ensureServerBuilt } from "./buildServer.mjs";
import { inRoot, root } from "./paths.mjs";

/** The application server as a child process that tells when it answers and goes when we go. */
export class ServerProcess {
  #child = null;
  #stopping = false;
  onExit = () => {};
  /** Clubs that nobody owns, each with the path of a link that makes whoever opens it their owner. */
  ownerLinks = [];

  constructor(env) {
    this.env = env;
  }

  get pid() {
    return this.#child?.pid ?? null;
  }

  /** Resolves to null once it answers, or to what it failed with. */
  async start() {
    await ensureServerBuilt();
    this.#stopping = false;
    const child = fork(inRoot("server", "dist", "main.js"), [], {
      cwd: root,
      execArgv: ["--enable-source-maps"],
      env: { ...process.env, ...this.env },
      // A group of its own: Ctrl-C reaches us alone, and we end things in order.
      detached: true,
    });
    this.#child = child;
    return new Promise((resolve) => {
      let answered = false;
      child.on("message", (message) => {
        answered = true;
        this.ownerLinks = message.ownerLinks ?? [];
        resolve(message.ready ? null : message);
      });
      child.on("exit", (code, signal) => {
        if (this.#child === child) this.#child = null;
        if (!answered) resolve({ failed: "exit", message: `it ended with ${signal ?? `code ${code}`}` });
        if (!this.#stopping) this.onExit();
      });
    });
  }

  /** Ends it as a crash does. For tests. */
  async kill() {
    this.#stopping = true;
    const gone = once(this.#child, "exit");
    this.#child.kill("SIGKILL");
    await gone;
  }

  async stop() {
    this.#stopping = true;
    if (!this.#child) return;
    const gone = once(this.#child, "exit");
    this.#child.kill("SIGTERM");
    await gone;
  }
}
