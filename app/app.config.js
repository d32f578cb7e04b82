// The bench builds an empty application beside this one, of the same packages in the same way: only the routes differ.
const routes = process.env.TONODROME_ROUTES;

module.exports = ({ config }) => {
  if (!routes) return config;
  const plugins = config.plugins.map((plugin) =>
    plugin[0] === "expo-router" ? ["expo-router", { ...plugin[1], root: routes }] : plugin,
  );
  return { ...config, plugins };
};
