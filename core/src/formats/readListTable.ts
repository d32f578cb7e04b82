import { headFaults } from "../startList/columns";
import type { TableRead } from "../startList/listTable";
import { withoutMark } from "./byteOrderMark";
import { calendarTable } from "./calendarTable";
import { csvTable } from "./csvTable";

/** Reads a start list, whichever of the two it is: a calendar begins as one, and everything else is a table. */
export function readListTable(text: string): TableRead {
  // What is between the letters of plain text in UTF-16 when it is taken for UTF-8.
  if (text.includes("\0"))
    return {
      faults: [
        {
          line: 1,
          column: null,
          message: "This is not text in UTF-8, but most likely in UTF-16: save it in UTF-8.",
        },
      ],
    };
  const plain = withoutMark(text);
  return /^\s*BEGIN:VCALENDAR/i.test(plain) ? calendarTable(plain) : headed(csvTable(plain));
}

/** A table whose first row has heads, as far as that can be told. */
function headed(read: TableRead): TableRead {
  const faults = "table" in read ? headFaults(read.table) : [];
  return faults.length > 0 ? { faults } : read;
}
