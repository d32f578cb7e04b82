import { existsSync, readdirSync, readFileSync } from "node:fs";
import { inRoot } from "./paths.mjs";

/** Names of the lists of mutants, each of a room. */
export const roomNames = () =>
  readdirSync(inRoot("scripts", "mutants")).map((file) => file.replace(/\.mjs$/, ""));

/** The list of a room: its project, its tests, and its mutants as [what, file, from, to, tests]. */
export const roomOf = async (name) => (await import(`../mutants/${name}.mjs`)).default;

/** Whether the line that a mutant breaks is still there. */
export const stands = ([, file, from]) =>
  existsSync(inRoot(file)) && readFileSync(inRoot(file), "utf8").includes(from);
