// What reads start lists and compares them with what there is: loaded when one is imported.

export { readListTable } from "../formats/readListTable";
export {
  areDatesOpen,
  LIST_FIELDS,
  type ListField,
  type ListReading,
  recognise,
} from "../startList/columns";
export {
  compareList,
  type KnownStart,
  type ListChange,
  type ListedStart,
  nameKey,
  type RowNews,
} from "../startList/compareList";
export { DATE_ORDERS, type DateOrder } from "../startList/dates";
export { type ListEntry, readEntries } from "../startList/entry";
export { type KnownOrder, type ListedOrder, listOrders } from "../startList/listOrders";
export { type ListFault, type ListTable, LONGEST_LIST, MOST_ROWS } from "../startList/listTable";
