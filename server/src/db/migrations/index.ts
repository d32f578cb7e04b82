import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";
import { firstTables } from "./0001-first-tables";
import { accounts } from "./0002-accounts";
import { shelf } from "./0003-shelf";
import { building } from "./0004-building";
import { listed } from "./0005-listed";
import { trust } from "./0006-trust";
import { deletedStarts } from "./0007-deleted-starts";
import { figures } from "./0008-figures";
import { days } from "./0009-days";
import { orders } from "./0010-orders";
import { calendars } from "./0011-calendars";
import { pressOrder } from "./0012-press-order";

/** In order, forward only: never change one that has been released, add another. */
export const migrations: RunnableMigration<QueryInterface>[] = [
  firstTables,
  accounts,
  shelf,
  building,
  listed,
  trust,
  deletedStarts,
  figures,
  days,
  orders,
  calendars,
  pressOrder,
];
