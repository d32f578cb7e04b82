import { createHmac } from "node:crypto";
import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes } from "rate-limiter-flexible";
import type { Database } from "../db/connect";
import { Refusal } from "../errors";

export interface Limits {
  /**
   * Counts a try at a password.
   * @throws Refusal `too_many` when there were too many for this address or from this machine
   */
  tryPassword(email: string, ip: string): Promise<void>;
  /** Forgets the tries for an address once the password was right. */
  passwordWasRight(email: string): Promise<void>;
  /** Counts a new account. @throws Refusal `too_many` */
  makeAccount(ip: string): Promise<void>;
  /** Counts a write by one person, or, signed out, from one machine. @throws Refusal `too_many` */
  write(who: string): Promise<void>;
}

const QUARTER = 900;

/**
 * Tries at passwords and new accounts are counted in the database, the same for every server. Writes are counted in
 * each server's memory: that limit keeps a runaway program off and need not be exact.
 * @param secret keys the counters, so that no address stands in them
 */
export function makeLimits({ sequelize }: Database, secret: string, writesPerMinute: number): Limits {
  const shared = {
    storeClient: sequelize,
    storeType: "sequelize",
    tableName: "rate_limits",
    tableCreated: true,
  };
  const perAddress = new RateLimiterPostgres({
    ...shared,
    keyPrefix: "address",
    points: 8,
    duration: QUARTER,
  });
  const perMachine = new RateLimiterPostgres({
    ...shared,
    keyPrefix: "machine",
    points: 100,
    duration: QUARTER,
  });
  const accounts = new RateLimiterPostgres({ ...shared, keyPrefix: "account", points: 60, duration: 3_600 });
  const writes = new RateLimiterMemory({ points: writesPerMinute, duration: 60 });
  const key = (text: string) => createHmac("sha256", secret).update(text).digest("base64url");

  return {
    async tryPassword(email, ip) {
      await take(perMachine, key(ip), "tries to sign in from here");
      await take(perAddress, key(email), "tries to sign in with this address");
    },
    passwordWasRight: async (email) => void (await perAddress.delete(key(email))),
    makeAccount: (ip) => take(accounts, key(ip), "new accounts from here"),
    write: (who) => take(writes, who, "changes in a minute"),
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
