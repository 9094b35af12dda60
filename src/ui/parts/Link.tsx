'use client';

// oxlint-disable-next-line no-restricted-imports -- here it is
import NextLink from 'next/link';
import { useState, type ComponentProps } from 'react';

/**
 * A link to a screen, which is fetched once a hand comes near it: by pointer, finger or key. All links of a screen fetched as
 * they come into sight would load most of the app for every page that is opened.
 */
export function Link({ onPointerEnter, onTouchStart, onFocus, ...props }: ComponentProps<typeof NextLink>) {
  const [near, setNear] = useState(false);
  return (
    <NextLink
      {...props}
      prefetch={near ? null : false}
      onPointerEnter={(event) => {
        setNear(true);
        onPointerEnter?.(event);
      }}
      onTouchStart={(event) => {
        setNear(true);
        onTouchStart?.(event);
      }}
      onFocus={(event) => {
        setNear(true);
        onFocus?.(event);
      }}
    />
  );
}
