import type { Finding } from "@tonodrome/core";
import { Notice } from "~/ui/layout/Notice";

interface DrillNoticesProps {
  /** What there is to look at about a drill. */
  findings: readonly Finding[];
  onFindings: () => void;
  /** Why it was cut, when it was. */
  reason: string | null;
}

/** What there is to say of one drill of the plan before anything about it is changed. */
export function DrillNotices({ findings, onFindings, reason }: DrillNoticesProps) {
  return (
    <>
      {findings.length > 0 ? (
        <Notice
          warn={findings.some((f) => f.severity !== "hint")}
          text={findings.map((f) => f.words).join(" ")}
          actions={[{ label: "How to fix it", onPress: onFindings }]}
        />
      ) : null}
      {reason ? <Notice text={reason} /> : null}
    </>
  );
}
