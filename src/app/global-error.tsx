'use client';

import './global.css';

/** What stands in place of everything when even the frame broke. It uses nothing that may be what broke. */
export default function BrokenApp() {
  return (
    <html lang="en">
      <body>
        <main className="broken">
          <h1>Tuck Fold cannot be shown</h1>
          <p>
            Something in the page is not as it should be. What you made is kept in this browser. Load the page again; if
            it stays so, a newer version may be out, or a part of this one could not be loaded.
          </p>
          <p>
            <button type="button" onClick={() => window.location.reload()}>
              Load the page again
            </button>{' '}
            {/* A link like any other would need what broke. */}
            {/* oxlint-disable-next-line nextjs/no-html-link-for-pages -- nothing of the app stands any more: the page is loaded anew */}
            <a href="/backup">Save a backup</a>
          </p>
        </main>
      </body>
    </html>
  );
}
