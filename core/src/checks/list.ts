import { longHoldLate } from "./amount/longHoldLate";
import { moreThanRewarm } from "./amount/moreThanRewarm";
import { nearLimitSoon } from "./amount/nearLimitSoon";
import { noBreather } from "./amount/noBreather";
import { notNeeded } from "./amount/notNeeded";
import { tooExplosive } from "./amount/tooExplosive";
import { tooLittleEasy } from "./amount/tooLittleEasy";
import { tooLong } from "./amount/tooLong";
import { tooMuchVolume } from "./amount/tooMuchVolume";
import { tooShort } from "./amount/tooShort";
import { aboveAsked } from "./climb/aboveAsked";
import { brainBeforeWarm } from "./climb/brainBeforeWarm";
import { downAndUp } from "./climb/downAndUp";
import { neverAtLevel } from "./climb/neverAtLevel";
import { noStair } from "./climb/noStair";
import { nothingToAttend } from "./climb/nothingToAttend";
import { stageSkipped } from "./climb/stageSkipped";
import { stepTooSteep } from "./climb/stepTooSteep";
import { straightToHard } from "./climb/straightToHard";
import { willNotOpen } from "./climb/willNotOpen";
import { actionCold } from "./cover/actionCold";
import { areaCold } from "./cover/areaCold";
import { oneSideOnly } from "./cover/oneSideOnly";
import { askedButNotKept } from "./day/askedButNotKept";
import { changeNotTimed } from "./day/changeNotTimed";
import { essentialsShort } from "./day/essentialsShort";
import { kitNotChecked } from "./day/kitNotChecked";
import { lateForPoint } from "./day/lateForPoint";
import { notAtTemperature } from "./day/notAtTemperature";
import { waitTooLong } from "./day/waitTooLong";
import { windowTooSmall } from "./day/windowTooSmall";
import { dullDay } from "./routine/dullDay";
import { newOnTheDay } from "./routine/newOnTheDay";
import { tooMuchSame } from "./routine/tooMuchSame";
import { coldAtStart } from "./start/coldAtStart";
import { noTimeToChange } from "./start/noTimeToChange";
import { nothingForHead } from "./start/nothingForHead";
import { notRested } from "./start/notRested";
import { peakTooEarly } from "./start/peakTooEarly";
import type { Check } from "./terms/check";
import { coldOutdoors } from "./weather/coldOutdoors";
import { heat } from "./weather/heat";
import { wet } from "./weather/wet";
import { nobodyForIt } from "./who/nobodyForIt";
import { notThere } from "./who/notThere";
import { partnerUnmatched } from "./who/partnerUnmatched";
import { soreLoaded } from "./who/soreLoaded";
import { tooHardForAge } from "./who/tooHardForAge";
import { tooMuchForAge } from "./who/tooMuchForAge";
import { tooYoung } from "./who/tooYoung";

/** Every check there is, harm first; of equally grave findings those of the first check come first. */
export const CHECKS: readonly Check[] = [
  essentialsShort,
  soreLoaded,
  tooYoung,
  tooHardForAge,
  tooMuchForAge,
  heat,
  coldOutdoors,
  wet,
  lateForPoint,
  straightToHard,
  stepTooSteep,
  noStair,
  coldAtStart,
  notRested,
  windowTooSmall,
  waitTooLong,
  changeNotTimed,
  kitNotChecked,
  nobodyForIt,
  notThere,
  partnerUnmatched,
  actionCold,
  areaCold,
  longHoldLate,
  tooExplosive,
  tooMuchVolume,
  aboveAsked,
  tooLong,
  moreThanRewarm,
  tooShort,
  brainBeforeWarm,
  stageSkipped,
  askedButNotKept,
  peakTooEarly,
  nearLimitSoon,
  noBreather,
  tooLittleEasy,
  neverAtLevel,
  downAndUp,
  oneSideOnly,
  willNotOpen,
  notNeeded,
  notAtTemperature,
  dullDay,
  tooMuchSame,
  newOnTheDay,
  nothingForHead,
  noTimeToChange,
  nothingToAttend,
];
