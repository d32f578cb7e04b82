import { z } from "zod";
import * as api from "../src/api";
import * as profile from "../src/athlete/profile";
import * as scale from "../src/athlete/scale";
import * as clubFigures from "../src/checks/clubFigures";
import * as setting from "../src/conditions/setting";
import * as daySteps from "../src/day/daySteps";
import * as step from "../src/day/step";
import * as dose from "../src/dose/dose";
import * as attemptsDose from "../src/dose/kinds/attemptsDose";
import * as circuitDose from "../src/dose/kinds/circuitDose";
import * as countsDose from "../src/dose/kinds/countsDose";
import * as gateDose from "../src/dose/kinds/gateDose";
import * as lengthsDose from "../src/dose/kinds/lengthsDose";
import * as plainDose from "../src/dose/kinds/plainDose";
import * as repsDose from "../src/dose/kinds/repsDose";
import * as timeDose from "../src/dose/kinds/timeDose";
import * as ladderDose from "../src/dose/ladder/ladderDose";
import * as part from "../src/dose/terms/part";
import * as partner from "../src/dose/terms/partner";
import * as sides from "../src/dose/terms/sides";
import * as tempo from "../src/dose/terms/tempo";
import * as called from "../src/drill/called";
import * as details from "../src/drill/details";
import * as eventType from "../src/event/eventType";
import * as group from "../src/group/group";
import * as groupMark from "../src/group/groupMark";
import * as tick from "../src/lists/tick";
import * as coolDown from "../src/plan/coolDown";
import * as limits from "../src/plan/limits";
import * as ownFigure from "../src/plan/ownFigure";
import * as plan from "../src/plan/plan";
import * as rest from "../src/plan/rest";
import * as doneBefore from "../src/rewarm/doneBefore";
import * as runEvent from "../src/run/log/runEvent";
import * as runPlan from "../src/run/steps/runPlan";
import * as instant from "../src/time/instant";
import * as zoneName from "../src/time/zoneName";
import * as context from "../src/venue/context";
import * as venue from "../src/venue/venue";
import * as approachId from "../src/words/approachId";
import * as bodyArea from "../src/words/bodyArea";
import * as intensity from "../src/words/intensity";
import * as phase from "../src/words/phase";
import * as priority from "../src/words/priority";
import * as purpose from "../src/words/purpose";
import * as text from "../src/words/text";

/** What is sent and answered comes first; then what it is made of, so that it stands once under its name. */
const MODULES: readonly Record<string, unknown>[] = [
  api,
  profile,
  scale,
  clubFigures,
  setting,
  daySteps,
  step,
  dose,
  attemptsDose,
  circuitDose,
  countsDose,
  gateDose,
  lengthsDose,
  plainDose,
  repsDose,
  timeDose,
  ladderDose,
  part,
  partner,
  sides,
  tempo,
  called,
  details,
  eventType,
  group,
  groupMark,
  tick,
  coolDown,
  limits,
  ownFigure,
  plan,
  rest,
  doneBefore,
  runEvent,
  runPlan,
  instant,
  zoneName,
  context,
  venue,
  approachId,
  bodyArea,
  intensity,
  phase,
  priority,
  purpose,
  text,
];

/** Names of the core's schemas, as its source has them: `drillInputSchema` is `DrillInput`. */
export function schemaNames(): ReadonlyMap<z.ZodType, string> {
  const names = new Map<z.ZodType, string>();
  for (const [name, schema] of MODULES.flatMap((module) => Object.entries(module))) {
    if (!(schema instanceof z.ZodType) || names.has(schema)) continue;
    names.set(schema, `${name[0]?.toUpperCase()}${name.slice(1).replace(/Schema$/, "")}`);
  }
  return names;
}
