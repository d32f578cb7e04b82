// Lengths of time alone: what runs before the application is there takes nothing else of the core.

export * from "../time/units";
