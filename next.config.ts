import { existsSync } from "node:fs";
import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // `npm run check` holds the types; a build need not do it again.
  typescript: { ignoreBuildErrors: true },
  // The database is loaded from its package: bundled, it would be compiled and minified with every build, and its files
  // would stand in the build twice.
  serverExternalPackages: ["@electric-sql/pglite"],
  experimental: {
    // Each route has its own limit; the largest is that of a plan file.
    proxyClientMaxBodySize: "64mb",
    // Pages are loaded by the first who asks for one, so that the server answers sooner after a start.
    preloadEntriesOnStart: false,
    // Errors of the server stay readable, and a build takes a fifth less.
    serverMinification: false,
    // Nobody reads them: the server does not map what it says of an error.
    turbopackSourceMaps: false,
    // A fifth of the first build's time goes into what only a second one can use.
    turbopackFileSystemCacheForBuild: existsSync(".next/BUILD_ID"),
  },
  headers: async () => [
    {
      source: "/:path*",
      headers: [
        { key: "x-content-type-options", value: "nosniff" },
        { key: "x-frame-options", value: "DENY" },
        { key: "referrer-policy", value: "same-origin" },
        { key: "permissions-policy", value: "camera=(), microphone=(), geolocation=(), payment=(), usb=()" },
        { key: "cross-origin-opener-policy", value: "same-origin" },
        { key: "cross-origin-resource-policy", value: "same-origin" },
      ],
    },
  ],
};

export default config;
