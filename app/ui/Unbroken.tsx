/** A number with its unit, or with what else is read together with it. */
const WITH_UNIT =
  /(\d+(?:[:.]\d+)* (?:%|min|h|s|m|°C|km\/h|drills?|sets?|reps?|rungs?|tries|hits?|points?|windows?|places?)(?!\p{L}))/u;

/** Words in which no number parts from its unit at a line's end. */
export function Unbroken({ text }: { text: string }) {
  return text.split(WITH_UNIT).map((part, i) =>
    // What was split by stands at every other place.
    i % 2 === 0 ? (
      part
    ) : (
      // biome-ignore lint/suspicious/noArrayIndexKey: the same words always split the same way
      <span key={i} className="whitespace-nowrap">
        {part}
      </span>
    ),
  );
}
