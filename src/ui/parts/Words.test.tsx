import { renderToStaticMarkup } from 'react-dom/server';
import { parseSync, type INode } from 'svgson';
import { DrawnWords, Words } from './Words';

const html = (text: string): string => renderToStaticMarkup(<Words>{text}</Words>);
const plain = (markup: string): string => markup.replaceAll(/<[^>]*>/g, '').replaceAll('&amp;', '&');
const textOf = (node: INode): string => node.value + node.children.map(textOf).join('');
/** What must not break over a line. */
const kept = (text: string): string[] =>
  parseSync(`<svg>${html(text)}</svg>`)
    .children.filter(({ attributes }) => attributes.class === 'length')
    .map(textOf);

test.each([
  'Cut the lid: 5 1/4 in × 6 1/8 in.',
  'down the grooves at 7/8 in and 4 in.',
  'about 1/16 in of room; 0.3 mm × 12 mm',
  'Score 3 of edge 2, both sides',
  '−1/8 in in the width',
  'set −2.5 mm, 215 g/m²',
])('the text stays as it was: %s', (text) => {
  expect(plain(html(text))).toBe(text);
});

test('a mixed number, its unit and the × that goes on stay on one line, as a true fraction', () => {
  // The reader of the markup drops what is only a space.
  expect(kept('Cut the lid: 5 1/4 in × 6 1/8 in.')).toEqual(['51/4 in ×', '61/8 in']);
  expect(html('2 5/8 in')).toContain('<span class="fraction">5/8</span> in');
  expect(kept('at 7/8 in and 4 in')).toEqual(['7/8 in', '4 in']);
  expect(kept('12 mm × 3.5 mm')).toEqual(['12 mm ×', '3.5 mm']);
  // What is no length is no figure: counts and edges break as they like.
  expect(kept('Score 3 of edge 2')).toEqual([]);
});

test('a sentence put together of pieces is one sentence; elements in it stay', () => {
  const markup = renderToStaticMarkup(
    <Words>
      Leave {'3/8 in'} × {2} in <b>now</b>.
    </Words>,
  );
  expect(plain(markup)).toBe('Leave 3/8 in × 2 in now.');
  expect(markup).toContain('<b>now</b>');
  expect(markup).toContain('2 in</span>');
});

test('in a drawing a fraction is a true one too, close to its whole number', () => {
  const drawn = (text: string): string => renderToStaticMarkup(<DrawnWords>{text}</DrawnWords>);
  expect(drawn('5 1/4 in × 7/8 in')).toBe(
    '5<tspan class="fraction">1/4</tspan> in × <tspan class="fraction">7/8</tspan> in',
  );
  expect(drawn('keep 4 in')).toBe('keep 4 in');
  expect(drawn('−1/8 in')).toBe('−<tspan class="fraction">1/8</tspan> in');
});
