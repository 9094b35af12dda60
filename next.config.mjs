/** @type {import('next').NextConfig} */
const config = {
  reactStrictMode: true,
  poweredByHeader: false,
  // The solver finds its compiled part beside itself.
  serverExternalPackages: ['highs'],
};
export default config;
