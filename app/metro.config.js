const { getDefaultConfig } = require("expo/metro-config");
const { withNativeWind } = require("nativewind/metro");
const pastBarrels = require("./build/pastBarrels.cjs");

const config = getDefaultConfig(__dirname);

// Zod brings its messages in forty languages, where every message a person sees here is our own, in one; and JSON Schema
// both ways, which only the server has a use for.
const ZOD = /[\\/]node_modules[\\/]zod[\\/]/;
const UNUSED = /\/(locales\/index|json-schema-processors|json-schema-generator|from-json-schema)\.js$/;
config.resolver.resolveRequest = (context, name, platform) =>
  UNUSED.test(name) && ZOD.test(context.originModulePath)
    ? { type: "empty" }
    : context.resolveRequest(context, name, platform);

// While developing, the application is served by Metro and its API by the server: one address for both.
const api = process.env.TONODROME_API;
if (api) {
  const { createProxyMiddleware } = require("http-proxy-middleware");
  const proxy = createProxyMiddleware({ target: api, pathFilter: ["/api", "/health"] });
  config.server.enhanceMiddleware = (metro) => (request, response, next) =>
    proxy(request, response, () => metro(request, response, next));
}

// What a file is made into goes by what the core's doors lead to, besides by the file itself.
config.cacheVersion = pastBarrels.version();

module.exports = withNativeWind(config, { input: "./ui/global.css", inlineRem: 16 });
