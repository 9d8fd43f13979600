import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: true }, // npm test checks them, tests included; a build need not do it again
  // a browser asks for this before the page's own icon has been streamed to it
  redirects: async () => [{ source: "/favicon.ico", destination: "/icon.svg", permanent: true }],
  experimental: { serverSourceMaps: true }, // the log names files and lines
  compiler: { styledComponents: true },
  // left as plain node_modules on the server: dynamic requires, entity metadata by name
  serverExternalPackages: [
    "@mikro-orm/core",
    "@mikro-orm/knex",
    "@mikro-orm/postgresql",
    "@mikro-orm/migrations",
    "pg",
    "better-auth",
    "pino",
    "rate-limiter-flexible",
    "@react-pdf/renderer",
  ],
};
export default config;
