// Loaded into the server before anything else: its clock is the simulation's.
const RealDate = Date;
let at = RealDate.now();
let since = performance.now();

globalThis.Date = class extends RealDate {
  constructor(...args) {
    if (args.length === 0) super(globalThis.Date.now());
    else super(...args);
  }
  static now() {
    return Math.floor(at + (performance.now() - since));
  }
};

process.on("message", (message) => {
  if (typeof message?.clock !== "number") return;
  at = message.clock;
  since = performance.now();
  process.send?.({ clockSet: message.clock });
});
