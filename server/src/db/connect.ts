import { Sequelize } from "sequelize";
import { defineModels, type Models } from "./models";

export interface Database {
  sequelize: Sequelize;
  models: Models;
}

/**
 * Opens a pool to PostgreSQL and defines the models on it. Nothing is asked of the server yet.
 * @param poolSize most connections held at a time
 */
export function connect(databaseUrl: string, poolSize = 10): Database {
  const sequelize = new Sequelize(databaseUrl, {
    dialect: "postgres",
    logging: false,
    pool: { max: poolSize, min: 0, idle: 10_000, acquire: 10_000 },
  });
  return { sequelize, models: defineModels(sequelize) };
}
