/** @type {import('next').NextConfig} */
const config = {
  reactStrictMode: true,
  poweredByHeader: false,
  // The solver finds its compiled part beside itself.
  serverExternalPackages: ['highs'],
  // The whole check looks at all types by itself, tests and scripts too; once is enough there.
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED_APART === '1' },
};
export default config;
