import { createHmac } from "node:crypto";
import { HOUR_SECONDS } from "@tonodrome/core";
import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from "rate-limiter-flexible";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";
import type { Config } from "../process/config";
import { machineOf } from "./machine";

/** A try at a password: whose, from where, and whether from a device on which it was right before. */
export interface Try {
  email: string;
  ip: string;
  isKnownDevice: boolean;
}

/** What is counted, to keep guessing and flooding slow. */
export interface RateLimits {
  /**
   * Counts a try at a password. Only failures count in the end: `passwordWasRight` gives it back.
   * @throws Refusal `too_many` when there were too many
   */
  tryPassword(one: Try): Promise<void>;
  /** The password was right: this try was no guess, and neither were those before from there. */
  passwordWasRight(one: Try): Promise<void>;
  /** Counts a new account with a club. @throws Refusal `too_many` */
  makeAccount(ip: string): Promise<void>;
  /** Counts an account made by an invitation, which is no stranger's. @throws Refusal `too_many` */
  join(ip: string): Promise<void>;
  /** Counts a demo club opened. @throws Refusal `too_many` */
  openDemo(ip: string): Promise<void>;
  /** Counts a write by one person, or, signed out, from one machine. @throws Refusal `too_many` */
  write(who: string): Promise<void>;
  /** Counts a reading likewise. @throws Refusal `too_many` */
  read(who: string): Promise<void>;
  /** Counts a plan judged for one person. @throws Refusal `too_many` */
  judge(who: string): Promise<void>;
}

const QUARTER = 900;

/**
 * Most failures in a quarter of an hour. Eight at one address from one machine: nobody mistypes more. From anywhere else
 * a hundred at one address, so that a stranger's guesses do not keep its owner out, who besides has a count of their own
 * on every device they have signed in on. From one machine three hundred: a hall is behind one. All custom.
 */
const FAILURES = { here: 8, knownDevice: 20, address: 100, machine: 300 };

/** Most new accounts by invitation, which are no strangers', from one machine in an hour. Custom. */
const INVITED = 200;

/** Most plans judged for one person in a minute: each takes a thread for a moment. Custom. */
const JUDGED = 30;

type RateLimitsConfig = Pick<
  Config,
  "writesPerMinute" | "readsPerMinute" | "demosPerHour" | "accountsPerHour"
>;

/**
 * Tries at passwords and new accounts are counted in the database, the same for every server. Writes and readings are
 * counted in each server's memory: those limits keep a runaway program off and need not be exact.
 * @param secret keys the counters, so that no address stands in them
 */
export function makeRateLimits(
  { sequelize }: Database,
  secret: string,
  config: RateLimitsConfig,
): RateLimits {
  const counter = (keyPrefix: string, points: number, duration: number) =>
    new RateLimiterPostgres({
      storeClient: sequelize,
      storeType: "sequelize",
      tableName: "rate_limits",
      tableCreated: true,
      keyPrefix,
      points,
      duration,
    });
  const here = counter("here", FAILURES.here, QUARTER);
  const device = counter("device", FAILURES.knownDevice, QUARTER);
  const address = counter("address", FAILURES.address, QUARTER);
  const machine = counter("machine", FAILURES.machine, QUARTER);
  const accounts = counter("account", config.accountsPerHour, HOUR_SECONDS);
  const joins = counter("join", INVITED, HOUR_SECONDS);
  const demos = counter("demo", config.demosPerHour, HOUR_SECONDS);
  const writes = new RateLimiterMemory({ keyPrefix: "write", points: config.writesPerMinute, duration: 60 });
  const reads = new RateLimiterMemory({ keyPrefix: "read", points: config.readsPerMinute, duration: 60 });
  const judged = new RateLimiterMemory({ keyPrefix: "judge", points: JUDGED, duration: 60 });
  const key = (...parts: string[]) =>
    createHmac("sha256", secret).update(parts.join("\n")).digest("base64url");

  /** The counters of a try, strictest first, each with its key. */
  const countersOf = ({ email, ip, isKnownDevice }: Try): [RateLimiterPostgres, string][] =>
    isKnownDevice
      ? [[device, key(email)]]
      : [
          [here, key(email, machineOf(ip))],
          [address, key(email)],
          [machine, key(machineOf(ip))],
        ];

  return {
    async tryPassword(one) {
      const taken: [RateLimiterPostgres, string][] = [];
      for (const [limiter, whose] of countersOf(one)) {
        try {
          await take(limiter, whose, "tries to sign in that failed");
          taken.push([limiter, whose]);
        } catch (error) {
          // A try that is not made is not counted in the wider ones either.
          await Promise.all(taken.map(([l, w]) => l.reward(w)));
          throw error;
        }
      }
    },
    async passwordWasRight(one) {
      const [[strict, whose] = [here, ""], ...wider] = countersOf(one);
      await strict.delete(whose);
      await Promise.all(wider.map(([limiter, w]) => limiter.reward(w)));
    },
    makeAccount: (ip) => take(accounts, key(machineOf(ip)), "new accounts from here"),
    join: (ip) => take(joins, key(machineOf(ip)), "new accounts from here"),
    openDemo: (ip) => take(demos, key(machineOf(ip)), "demos opened from here"),
    write: (who) => take(writes, who, "changes in a minute"),
    judge: (who) => take(judged, who, "plans judged in a minute"),
    read: (who) => take(reads, who, "questions in a minute"),
  };
}

async function take(
  limiter: RateLimiterPostgres | RateLimiterMemory,
  key: string,
  what: string,
): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (reached) {
    // Anything else is a failure of the store itself.
    if (!(reached instanceof RateLimiterRes)) throw reached;
    const seconds = Math.max(1, Math.ceil(reached.msBeforeNext / 1000));
    const wait = seconds > 90 ? `${Math.ceil(seconds / 60)} minutes` : `${seconds} seconds`;
    throw new Refusal(
      "too_many",
      `Too many ${what}. Nothing was changed; try again in ${wait}.`,
      {},
      seconds,
    );
  }
}
