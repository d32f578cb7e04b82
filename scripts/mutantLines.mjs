// Names the lines that a list of mutants breaks and that no longer read so. The lists are run by hand, now and then: `npm test`
// asks this each time, so that they keep up with the code.
import { BUGS } from "./hall/bugs.mjs";
import { roomNames, roomOf, stands } from "./lib/mutantRooms.mjs";
import { main, say } from "./lib/say.mjs";

main(async () => {
  for (const { what, file, edits } of BUGS)
    for (const [from] of edits) {
      if (stands([what, file, from])) continue;
      say(`${file} no longer reads as scripts/hall/bugs.mjs says: ${what}`);
      process.exitCode = 1;
    }
  for (const name of roomNames()) {
    const { mutants } = await roomOf(name);
    for (const mutant of mutants) {
      if (stands(mutant)) continue;
      const [what, file] = mutant;
      say(`${file} no longer reads as scripts/mutants/${name}.mjs says: ${what}`);
      process.exitCode = 1;
    }
  }
});
