import { API_VERSION, apiErrorSchema, type ErrorCode } from "@tonodrome/core/api";
import type { RouteOptions } from "fastify";
import { z } from "zod";
import { schemaNames } from "../../core/schema/names";
import type { Access } from "../src/access/access";
import { type Components, type Direction, makeComponents } from "./components";
import { EXAMPLES } from "./examples";
import { OPERATIONS, type Operation } from "./operations";
import { byStatus, refusalsOf } from "./refusals";
import { refusalResponse, responseName } from "./responses";

type Json = Record<string, unknown>;

/** A route with the Zod schemas of what is sent to it and of what it answers. */
interface Described {
  key: string;
  method: string;
  path: string;
  access: Access;
  notInDemo: boolean;
  schemas: Partial<Record<"params" | "querystring" | "body", z.ZodObject>>;
  answers: [status: string, schema: z.ZodType][];
}

/**
 * Describes the API (OpenAPI 3.1.1).
 * @param routes all that are registered under `/api`
 * @throws Error where a route has no line in `OPERATIONS`, or the other way round
 */
export function describeApi(routes: readonly RouteOptions[]): Json {
  const described = routes.map(describedOf);
  const known = new Map<string, Operation & { tag: string }>();
  for (const [tag, { operations }] of Object.entries(OPERATIONS))
    for (const [key, operation] of Object.entries(operations)) known.set(key, { ...operation, tag });
  const astray = [
    ...described.filter(({ key }) => !known.has(key)).map(({ key }) => key),
    ...[...known.keys()].filter((key) => !described.some((route) => route.key === key)),
  ];
  if (astray.length > 0) throw new Error(`Routes and operations differ: ${astray.join(", ")}.`);

  const told = described.map((route) => ({
    route,
    operation: known.get(route.key) as Operation & { tag: string },
  }));
  const names = new Map(schemaNames());
  for (const { route, operation } of told) {
    const { params, querystring, body } = route.schemas;
    const name = (schema: z.ZodType | undefined, what: string) => {
      if (schema && !names.has(schema)) names.set(schema, `${pascal(operation.id)}${what}`);
    };
    name(params, "Path");
    name(querystring, "Query");
    name(body, "Body");
    for (const [, schema] of route.answers) name(schema, "Answer");
  }
  const components = makeComponents(names);
  components.use(apiErrorSchema, "output");

  const paths: Record<string, Json> = {};
  const parameters: Record<string, Json> = {};
  const refusals = new Map<string, ErrorCode[]>();
  for (const { route, operation } of told) {
    paths[route.path] ??= {};
    (paths[route.path] as Json)[route.method] = operationOf(
      route,
      operation,
      components,
      refusals,
      parameters,
    );
  }
  return {
    openapi: "3.1.1",
    info: {
      title: "Tonodrome",
      version: String(API_VERSION),
      summary: "Graded warm-ups, fitted to the time before a start.",
      description:
        "JSON under `/api`. In what is sent, unknown fields are refused. In answers, ignore what you do not know: a later server may say more. What cannot be said here stands in docs/api.md.",
      license: { name: "All rights reserved", identifier: "LicenseRef-Proprietary" },
    },
    servers: [{ url: "/", description: "The server that answers with this document." }],
    security: [{ session: [] }],
    tags: Object.entries(OPERATIONS).map(([name, { about }]) => ({ name, description: about })),
    paths,
    components: {
      securitySchemes: {
        session: {
          type: "apiKey",
          in: "cookie",
          name: "tonodrome",
          description: "The signed cookie that signing in sets.",
        },
      },
      parameters,
      responses: Object.fromEntries(
        [...refusals]
          .sort(([a], [b]) => (a < b ? -1 : 1))
          .map(([name, codes]) => [name, refusalResponse(codes)]),
      ),
      schemas: components.schemas(),
    },
  };
}

function describedOf({ method, url, config, schema }: RouteOptions): Described {
  const { params, querystring, body, response } = (schema ?? {}) as {
    params?: z.ZodObject;
    querystring?: z.ZodObject;
    body?: z.ZodObject;
    response?: Record<string, z.ZodType>;
  };
  const path = url.replace(/:(\w+)/g, "{$1}");
  return {
    key: `${method} ${path}`,
    method: String(method).toLowerCase(),
    path,
    access: config?.access ?? "anybody",
    notInDemo: config?.notInDemo ?? false,
    schemas: { ...(params && { params }), ...(querystring && { querystring }), ...(body && { body }) },
    answers: Object.entries(response ?? {}),
  };
}

function operationOf(
  route: Described,
  { id, tag, summary, refusals: more = [], answers, takes }: Operation & { tag: string },
  components: Components,
  refusals: Map<string, ErrorCode[]>,
  named: Record<string, Json>,
): Json {
  const { access, notInDemo, schemas } = route;
  const content = (schema: z.ZodType, direction: Direction) => ({
    "application/json": { schema: components.use(schema, direction) },
  });
  const responses: Json = {};
  for (const [status, schema] of route.answers)
    responses[status] = { description: "It is done.", content: content(schema, "output") };
  if (answers)
    responses[200] = { description: "It is done.", content: { [answers]: { schema: { type: "string" } } } };
  const isWrite = route.method !== "get";
  const codes = refusalsOf({
    isWrite,
    access,
    notInDemo,
    hasParams: schemas.params !== undefined,
    isVersioned: [schemas.body, schemas.querystring].some(
      (schema) => schema && "version" in fieldsOf(schema),
    ),
    more,
  });
  for (const [status, group] of byStatus(codes)) {
    const name = responseName(group);
    refusals.set(name, group);
    responses[status] = { $ref: `#/components/responses/${name}` };
  }
  const example = EXAMPLES[id];
  const parameters = [
    ...parametersOf(schemas.params, "path", components).map((parameter) => {
      // What stands in many paths is said once.
      named[parameter.name] = parameter;
      return { $ref: `#/components/parameters/${parameter.name}` };
    }),
    ...parametersOf(schemas.querystring, "query", components),
  ];
  return {
    operationId: id,
    tags: [tag],
    summary,
    ...(access === "anybody" ? { security: [] } : {}),
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(schemas.body
      ? {
          requestBody: {
            required: true,
            content: {
              "application/json": {
                schema: components.use(schemas.body, "input"),
                ...(example ? { examples: { usual: { value: example } } } : {}),
              },
            },
          },
        }
      : {}),
    ...(takes
      ? { requestBody: { required: true, content: { [takes]: { schema: { type: "string" } } } } }
      : {}),
    responses,
  };
}

/** The parameters that an object of them stands for. */
function parametersOf(
  schema: z.ZodObject | undefined,
  where: "path" | "query",
  components: Components,
): (Json & { name: string })[] {
  if (!schema) return [];
  const { properties, required } = components.inPlace(schema);
  return Object.entries(properties).map(([name, { description, ...field }]) => ({
    name,
    in: where,
    required: where === "path" || required.includes(name),
    description,
    schema: field,
  }));
}

/** The fields of an object schema, or of all the objects that it is one of. */
function fieldsOf(schema: z.ZodType): Record<string, unknown> {
  if (schema instanceof z.ZodObject) return schema.shape;
  if (schema instanceof z.ZodUnion)
    return Object.assign({}, ...schema.options.map((option) => fieldsOf(option as z.ZodType)));
  return {};
}

const pascal = (name: string) => `${name[0]?.toUpperCase()}${name.slice(1)}`;
