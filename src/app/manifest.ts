import type { MetadataRoute } from 'next';

/** What a device is told when the app is put among its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Tuck Fold',
    short_name: 'Tuck Fold',
    description:
      'Sizes envelopes, pockets and boxes round what goes in, proves them by folding, and tells you where to cut, set and score.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    orientation: 'any',
    background_color: '#eae2d3',
    theme_color: '#efe8dc',
    categories: ['productivity', 'utilities'],
    icons: [
      { src: '/icons/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [
      { name: 'What can hold this?', url: '/choose?have=contents' },
      { name: 'What can this paper become?', url: '/choose?have=paper' },
    ],
  };
}
