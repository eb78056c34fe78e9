import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // `npm run check` holds the types; a build need not do it again.
  typescript: { ignoreBuildErrors: true },
  // What routes take at most is theirs to say; the largest is a plan file.
  // Pages are loaded by the first who asks for one, so that the server answers sooner after a start.
  experimental: { proxyClientMaxBodySize: "64mb", preloadEntriesOnStart: false },
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
