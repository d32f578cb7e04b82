import type { ClubFiguresAnswer } from "@tonodrome/core/api";
import { CHECKS, type Check } from "@tonodrome/core/checks";
import { Text, View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { useSaveFigures } from "~/data/resources/figures";
import { Amount } from "~/features/fields/fields";
import { SEVERITY_WORDS } from "~/features/judge/severity";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";

type Figures = ClubFiguresAnswer["figures"];

/** Every check with its figures: each can be changed, and put back to what it usually is. */
export default function FiguresList({ answer }: { answer: ClubFiguresAnswer }) {
  const save = useSaveFigures();
  const mayBuild = useMay("build");
  // What was just pressed holds until the server has said what it has now.
  const figures: Figures = (save.isPending ? save.variables?.figures : null) ?? answer.figures;
  const write = (next: Figures) => save.mutate({ version: answer.version, figures: next });
  const change = (check: string, figure: string, value: number | null) => {
    const others = figures.filter((own) => own.check !== check || own.figure !== figure);
    write(value === null ? others : [...others, { check, figure, value }]);
  };
  const changed = figures.length;
  return (
    <View className="gap-4">
      {save.error ? <Notice warn text={`Not saved. ${save.error.message}`} /> : null}
      <Text role="status" className="font-text text-body text-muted">
        {changed === 0 ? "All as usual." : changed === 1 ? "1 of your own." : `${changed} of your own.`}
      </Text>
      {mayBuild && changed > 0 ? (
        <Button label="Reset all to the usual" disabled={save.isPending} onPress={() => write([])} />
      ) : null}
      <View role="list" aria-label="Checks">
        {CHECKS.map((check) => (
          <CheckFigures
            key={check.code}
            check={check}
            own={figures.filter((own) => own.check === check.code)}
            onChange={mayBuild && !save.isPending ? (key, value) => change(check.code, key, value) : null}
          />
        ))}
      </View>
    </View>
  );
}

interface CheckFiguresProps {
  check: Check;
  own: Figures;
  /** Null for a value puts it back; null altogether for somebody who may not, or while it is being saved. */
  onChange: ((key: string, value: number | null) => void) | null;
}

function CheckFigures({ check, own, onChange }: CheckFiguresProps) {
  return (
    <View role="listitem" className="gap-2 border-t-2 border-line py-3">
      <Text className="font-strong text-body text-ink">
        {check.name}
        <Text className="font-text text-small text-muted">
          {" "}
          {SEVERITY_WORDS[check.severity].toLowerCase()}
        </Text>
      </Text>
      <Text className="font-text text-body text-ink">{check.when}</Text>
      <Text className="font-text text-small text-muted">{check.rests}</Text>
      {Object.entries(check.figures).map(([key, { value, unit, least, most, words }]) => {
        const now = own.find((o) => o.figure === key)?.value ?? value;
        return (
          <View key={key} className="gap-1">
            {onChange ? (
              <Amount
                label={words}
                value={now}
                least={least}
                most={most}
                show={(n) => `${n}\u00a0${unit}`}
                onChange={(n) => onChange(key, n === value ? null : n)}
              />
            ) : (
              <Text className="font-text text-body text-ink">
                {words}: {now} {unit}
              </Text>
            )}
            {now !== value && onChange ? (
              <Button label={`Usual: ${value} ${unit}`} onPress={() => onChange(key, null)} />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
