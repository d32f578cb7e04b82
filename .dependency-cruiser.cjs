/** The arrows: app → core ← server, and nothing else between the rooms. */
module.exports = {
  forbidden: [
    {
      name: "core-knows-nobody",
      comment: "The computation has no interface, no server and no I/O.",
      severity: "error",
      from: { path: "^core/src" },
      to: { pathNot: "^core/src|node_modules/(zod|@date-fns/tz|papaparse|@types/(papaparse|pdfmake))/" },
    },
    {
      name: "app-and-server-meet-only-in-core",
      severity: "error",
      from: { path: "^(app|cli|server|e2e)/" },
      to: { path: "^(app|cli|server|e2e)/", pathNot: "^$1/" },
    },
    {
      name: "routes-are-thin",
      comment: "A route shows a feature; only the frame around all of them touches data.",
      severity: "error",
      from: { path: "^app/app/", pathNot: "_layout" },
      to: { path: "^app/data/" },
    },
    {
      name: "shared-parts-know-no-feature",
      severity: "error",
      from: { path: "^app/(ui|data)/" },
      to: { path: "^app/(features|app)/" },
    },
    {
      name: "data-is-framework-free",
      comment:
        "Stores, outbox, clock, streams and following are plain; React stands in thin hooks beside them.",
      severity: "error",
      from: { path: "^app/data/", pathNot: ["^app/data/resources/", "/use[A-Z]"] },
      to: {
        path: [
          "node_modules/react/",
          "node_modules/react-native/",
          "node_modules/zustand/index",
          "node_modules/zustand/esm/index",
          "node_modules/@tanstack/react-query/",
          "^app/ui/hooks/",
          "^app/data/resources/",
          "^app/data/[a-z]*/use[A-Z]",
        ],
      },
    },
    {
      name: "no-circles",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
    { name: "nothing-unresolved", severity: "error", from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: "node_modules" },
    exclude: { path: "(^|/)(dist|dist\\.new|node_modules/\\.cache)/" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
    tsConfig: { fileName: `${__dirname}/app/tsconfig.json` },
  },
};
