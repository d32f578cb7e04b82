import { Sequelize } from "sequelize";
import { defineModels, type Models } from "./models";

export interface Database {
  sequelize: Sequelize;
  models: Models;
}

/** Opens a pool to PostgreSQL and defines the models on it. Nothing is asked of the server yet. */
export function connect(databaseUrl: string): Database {
  const sequelize = new Sequelize(databaseUrl, {
    dialect: "postgres",
    logging: false,
    pool: { max: 10, min: 0, idle: 10_000, acquire: 10_000 },
  });
  return { sequelize, models: defineModels(sequelize) };
}
