/**
 * The version of the API that this build speaks, as its client and its server say in their headers. It goes up with each
 * change that the release before does not know of: 1 did not say it.
 */
export const API_VERSION = 2;

/** The oldest client that the server goes on answering as it expects. A client that is older says *reload*. */
export const LEAST_CLIENT = 1;

/** Headers by which a client says which version it speaks, and a server which it speaks, the oldest it serves, and its time. */
export const HEADERS = {
  client: "tonodrome-client",
  api: "tonodrome-api",
  least: "tonodrome-least-client",
  /** Milliseconds since the epoch: the usual `Date` is in whole seconds. */
  time: "tonodrome-time",
} as const;
