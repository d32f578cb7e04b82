const argon2: typeof import("@node-rs/argon2") = jest.requireActual("@node-rs/argon2");

/*
 * In the place of the package within tests: hashes of a thousandth of the cost, as hundreds of people sign up.
 * With REAL_HASHES they cost what they cost outside.
 */

const QUICK = { memoryCost: 1_024, timeCost: 1, parallelism: 1 };

export const hash = (password: string, cost: typeof QUICK) =>
  argon2.hash(password, process.env.REAL_HASHES ? cost : QUICK);
export const verify = argon2.verify;
