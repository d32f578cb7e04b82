import type { PrintedSheet, SheetDrill } from "@tonodrome/core/sheet";
import { calendarDay } from "~/ui/dates";

/** A sheet as it is on paper: black on white, in large type. */
export function SheetPage({ sheet }: { sheet: PrintedSheet }) {
  const { athlete, title, venue, date, start, zone, begins, steps, drills, wait, lists, cautions } = sheet;
  return (
    <article className="sheet">
      <header>
        <div>
          <h2>{athlete}</h2>
          <p>{title}</p>
          {venue ? <p>{venue}</p> : null}
        </div>
        <div className="sheet-start">
          <strong>{start}</strong>
          <p>
            {calendarDay(date)}, {zone}
          </p>
          {begins ? <p>warm-up from {begins}</p> : null}
        </div>
      </header>
      {sheet.remarks.map((remark) => (
        <p key={remark}>
          <b>{remark}</b>
        </p>
      ))}
      {steps.length > 0 ? (
        <section>
          <h3>The day, and when it goes badly</h3>
          <table>
            <tbody>
              {steps.map((step) => (
                <tr key={`${step.day} ${step.clock} ${step.name}`}>
                  <th scope="row">{step.clock}</th>
                  <td className="sheet-small">{step.badly}</td>
                  <td>
                    {step.name}
                    <Small text={[step.day, step.place].filter(Boolean).join(", ")} />
                  </td>
                  <td className="sheet-small">{step.takes}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ) : null}
      {drills.length > 0 ? (
        <section>
          <h3>Warm-up</h3>
          <table>
            <tbody>
              {drills.map((drill) => (
                <DrillRow key={drill.minus} drill={drill} />
              ))}
              <tr>
                <th scope="row">{start}</th>
                <td className="sheet-small">0:00</td>
                <td>
                  <b>{wait ? `Start, after a wait of ${wait}` : "Start"}</b>
                </td>
                <td />
              </tr>
            </tbody>
          </table>
        </section>
      ) : null}
      {lists.map(({ name, lines }) => (
        <section key={name}>
          <h3>{name}</h3>
          <ul className="sheet-list">
            {lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      ))}
      {cautions.length > 0 ? (
        <section>
          <h3>Take care</h3>
          {cautions.map((caution) => (
            <p key={caution}>{caution}</p>
          ))}
        </section>
      ) : null}
    </article>
  );
}

function DrillRow({
  drill: { clock, minus, name, dose, takes, place, focus, rungs },
}: {
  drill: SheetDrill;
}) {
  return (
    <tr>
      <th scope="row">{clock}</th>
      <td className="sheet-small">{minus}</td>
      <td>
        <b>{name}</b>
        {dose ? `, ${dose}` : ""}
        {rungs.map((rung, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two rungs may read the same, and none moves
          <div key={i}>
            {rung.name}: {rung.dose}
            {rung.focus ? `. ${rung.focus}` : ""}
          </div>
        ))}
        <Small text={[place, focus].filter(Boolean).join(". ")} />
      </td>
      <td className="sheet-small">{takes}</td>
    </tr>
  );
}

const Small = ({ text }: { text: string }) => (text ? <div className="sheet-small">{text}</div> : null);
