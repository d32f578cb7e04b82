import type { Edit, Finding, Mend } from "@tonodrome/core";
import { noteSchema } from "@tonodrome/core";
import { useState } from "react";
import { Text, View } from "react-native";
import { SEVERITY_WORDS } from "~/features/judge/severity";
import { useFullJudgement } from "~/features/judge/useJudgement";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { Button } from "~/ui/Button";
import { TextEdit } from "~/ui/fields/TextEdit";
import { Fold } from "~/ui/layout/Fold";
import { Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Unbroken } from "~/ui/Unbroken";
import { words } from "~/ui/words";

/** What was done last in the sheet, and how to take it back. */
interface Done {
  words: string;
  undo: () => void;
}

/** Everything there is to say against a warm-up, gravest first, with what mends it. Loaded when it is first opened. */
export default function FindingsSheet({
  model,
  onShow,
}: {
  model: WarmUpModel;
  onShow: (itemId: string) => void;
}) {
  const { judgement, failure } = useFullJudgement(model.judgeInput, model.start, model.drills);
  const [done, setDone] = useState<Done | null>(null);
  // What is said follows every edit; what mends it comes a little later.
  const mends = new Map(judgement?.findings.map(({ finding }) => [keyOf(finding), finding.mends]));
  const findings = (model.judgement?.findings ?? judgement?.findings ?? []).map(({ finding, known }) => ({
    known,
    finding: { ...finding, mends: mends.get(keyOf(finding)) ?? finding.mends },
  }));
  const open = findings.filter((f) => f.known === null);
  const aside = findings.filter((f) => f.known !== null);
  const mend = ({ words, edits }: Mend) => {
    const undo = model.applyEdits(edits);
    setDone({ words: `${words}.`, undo });
  };
  const many = mendableTogether(open.map((o) => o.finding));
  return (
    <View className="gap-4">
      {model.settingFailure ? <Notice warn text={model.settingFailure} /> : null}
      {done ? (
        <Notice
          text={`Done: ${done.words}`}
          actions={[
            {
              label: "Undo it",
              onPress: () => {
                done.undo();
                setDone(null);
              },
            },
          ]}
        />
      ) : null}
      {failure ? <Notice warn text={failure} /> : null}
      {open.length === 0 ? (
        <Text className="font-text text-body text-ink">Nothing to say against this warm-up.</Text>
      ) : null}
      <View role="list" aria-label={words.toLookAt}>
        {open.map(({ finding }) => (
          <FindingRow
            key={keyOf(finding)}
            finding={finding}
            mayBuild={model.mayBuild}
            onShow={finding.itemId ? () => onShow(finding.itemId ?? "") : null}
            onMend={mend}
            onKnow={() => model.setAside(finding)}
          />
        ))}
      </View>
      {model.mayBuild && many ? (
        <Button
          label={`Fix all ${many.count} of one kind`}
          onPress={() => {
            const undo = model.applyEdits(many.edits);
            setDone({ words: `${many.count} fixed.`, undo });
          }}
        />
      ) : null}
      {judgement === null && !failure ? <Loading words="Trying what would fix them …" /> : null}
      {aside.length > 0 ? (
        <Fold title={`Set aside: ${aside.length}`} open={open.length === 0}>
          {aside.map(({ finding, known }) => (
            <View key={keyOf(finding)} className="gap-1 border-t border-line py-2">
              <Text className="font-text text-body text-ink">
                <Unbroken text={finding.words} />
              </Text>
              <Text className="font-text text-small text-muted">Set aside by {known?.by}</Text>
              {model.mayBuild ? (
                <>
                  <TextEdit
                    label="Why, if you like"
                    value={known?.reason ?? ""}
                    check={noteSchema}
                    onChange={(reason) => model.setAside(finding, reason)}
                  />
                  <Button label="Look at it again" onPress={() => model.lookAgain(finding)} />
                </>
              ) : known?.reason ? (
                <Text className="font-text text-small text-ink">{known.reason}</Text>
              ) : null}
            </View>
          ))}
        </Fold>
      ) : null}
      <Text className="font-text text-small text-muted">
        These are judgement calls, for people in general. You decide; for pain or illness, whoever treats them
        does, and the venue's and governing body's rules come first.
      </Text>
    </View>
  );
}

interface FindingRowProps {
  finding: Finding;
  mayBuild: boolean;
  /** Shows the drill it is about; null where it is about the whole. */
  onShow: (() => void) | null;
  onMend: (mend: Mend) => void;
  onKnow: () => void;
}

function FindingRow({ finding, mayBuild, onShow, onMend, onKnow }: FindingRowProps) {
  const { severity, words, mends } = finding;
  return (
    <View role="listitem" className="gap-2 border-t-2 border-line py-3">
      <Text className="font-text text-body text-ink">
        <Text className={`font-strong ${severity === "stop" ? "text-signal" : ""}`}>
          {SEVERITY_WORDS[severity]}:{" "}
        </Text>
        <Unbroken text={words} />
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {mayBuild
          ? mends.map((m, i) => (
              <Button
                key={m.words}
                label={m.words}
                look={i === 0 ? "full" : "outline"}
                onPress={() => onMend(m)}
              />
            ))
          : null}
        {onShow ? <Button label="Show it" look="plain" onPress={onShow} /> : null}
        {mayBuild ? <Button label="I know" look="plain" onPress={onKnow} /> : null}
      </View>
    </View>
  );
}

/** Several findings of one check, each about a drill, that can be mended with one press; null where there are none. */
function mendableTogether(findings: readonly Finding[]): { count: number; edits: readonly Edit[] } | null {
  for (const { code } of findings) {
    const same = findings.filter((f) => f.code === code && f.itemId !== null && f.mends.length > 0);
    const items = new Set(same.map((f) => f.itemId));
    if (same.length < 2 || items.size < same.length) continue;
    // Nothing of the shelf is taken twice.
    const taken = new Set<string>();
    const edits = same.flatMap((f) => {
      const mend = f.mends.find((m) => !m.edits.some((e) => taken.has(shelfIdOf(e) ?? "")));
      for (const edit of mend?.edits ?? []) taken.add(shelfIdOf(edit) ?? "-");
      return mend?.edits ?? [];
    });
    return { count: same.length, edits };
  }
  return null;
}

/** What tells a finding from the others. */
const keyOf = ({ code, itemId, words }: Finding) => `${code} ${itemId} ${words}`;

/** The drill of the shelf that an edit brings, where it brings one. */
const shelfIdOf = (edit: Edit): string | undefined =>
  edit.kind === "replace" || edit.kind === "insert" ? edit.drill.id : undefined;
