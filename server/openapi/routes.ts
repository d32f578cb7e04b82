import Fastify, { type RouteOptions } from "fastify";
import { serializerCompiler } from "fastify-type-provider-zod";
import { connect } from "../src/db/connect";
import type { Context } from "../src/resources/context";
import { resources } from "../src/routes";
import { validatorCompiler } from "../src/validation/validate";

/** Nobody listens there: routes are only asked what they are. */
const NOWHERE = "postgres://nobody@127.0.0.1:1/nothing";

/** Every route of the API as it is registered, without a database. */
export async function apiRoutes(): Promise<RouteOptions[]> {
  const app = Fastify();
  const routes: RouteOptions[] = [];
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.addHook("onRoute", (route) => {
    if (route.method !== "HEAD") routes.push(route);
  });
  const context = {
    ...connect(NOWHERE, 1),
    databaseUrl: NOWHERE,
    importMegabytes: 1,
    newImportMegabytes: 1,
  } as unknown as Context;
  for (const resource of resources) await app.register(resource(context), { prefix: "/api" });
  await app.ready();
  await app.close();
  return routes;
}
