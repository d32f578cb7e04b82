// Tables for spreadsheets: the server, which writes them, and whatever reads a shelf again.

export { BYTE_ORDER_MARK, withoutMark } from "../formats/byteOrderMark";
export { compareShelf, type DrillNews } from "../formats/compareShelf";
export { stepsCsv } from "../formats/dayTable";
export { logCsv, type RunInTable } from "../formats/logTable";
export { type DrillInTable, readShelfCsv, shelfCsv } from "../formats/shelfTable";
export { startsCsv } from "../formats/startsTable";
