export { runEventSchema } from "../run/runEvent";
export * from "./athletes";
export * from "./club";
export * from "./common";
export * from "./drills";
export * from "./error";
export * from "./plans";
export * from "./runs";
export * from "./starts";
