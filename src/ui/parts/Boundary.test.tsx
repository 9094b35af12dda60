/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Boundary, boundaryWords, isMissingPart } from './Boundary';
import { download } from './download';

jest.mock('./download', () => ({ download: jest.fn() }));
jest.mock('antd', () => ({
  Alert: ({ title, description }: { title: string; description: React.ReactNode }) => (
    <div role="alert">
      {title}
      {description}
    </div>
  ),
  Button: ({ onClick, children }: { onClick: () => void; children: React.ReactNode }) => (
    <button onClick={onClick}>{children}</button>
  ),
}));

let quiet: jest.SpyInstance;
beforeEach(() => (quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined)));
afterEach(() => quiet.mockRestore());

function Draws({ width }: { readonly width: number }) {
  if (width === 0) throw new RangeError('no ring');
  return <p>drawn {width}</p>;
}
const CHUNK = Object.assign(new Error('Loading chunk 7 failed'), { name: 'ChunkLoadError' });

test('what breaks says so in a sentence of ours, and everything round it stays', () => {
  render(
    <>
      <Boundary what="This project">
        <Draws width={0} />
      </Boundary>
      <Boundary what="That project">
        <Draws width={3} />
      </Boundary>
    </>,
  );
  expect(screen.getByRole('alert').textContent).toMatch(/^This project cannot be shown: .* The rest goes on\./);
  expect(screen.getByText('drawn 3')).toBeTruthy();
  expect(document.body.textContent).not.toMatch(/no ring/);
});

test('it is tried again when asked, and by itself when what it shows was mended', () => {
  const once = { left: 1 };
  const Shy = () => {
    if (once.left > 0) throw new Error('not yet');
    return <p>there</p>;
  };
  render(
    <Boundary what="It">
      <Shy />
    </Boundary>,
  );
  once.left = 0;
  fireEvent.click(screen.getByText('Try again'));
  expect(screen.getByText('there')).toBeTruthy();
  const card = (width: number) => (
    <Boundary what="Card" of={width}>
      <Draws width={width} />
    </Boundary>
  );
  const { rerender } = render(card(0));
  expect(screen.getByRole('alert')).toBeTruthy();
  rerender(card(5));
  expect(screen.queryByRole('alert')).toBeNull();
  expect(screen.getByText('drawn 5')).toBeTruthy();
});

test('what is the person’s can be taken along as a file, or put in the bin', () => {
  const bin = jest.fn();
  render(
    <Boundary what="It" along={{ name: 'star.tuckfold.json', content: () => '{"a":1}' }} onBin={bin}>
      <Draws width={0} />
    </Boundary>,
  );
  fireEvent.click(screen.getByText('Take it along as a file'));
  expect(download).toHaveBeenCalledWith('star.tuckfold.json', 'application/json', '{"a":1}');
  fireEvent.click(screen.getByText('Put it in the bin'));
  expect(bin).toHaveBeenCalledTimes(1);
});

test('a part that could not be loaded is told from one that broke', () => {
  const Missing = () => {
    throw CHUNK;
  };
  render(
    <Boundary what="The cutting view">
      <Missing />
    </Boundary>,
  );
  expect(screen.getByText('Load the page again')).toBeTruthy();
  expect(screen.queryByText('Try again')).toBeNull();
  expect(isMissingPart(new TypeError('Failed to fetch dynamically imported module: x.js'))).toBe(true);
  expect(isMissingPart(new TypeError('x is undefined'))).toBe(false);
  expect(boundaryWords('It', 'a string')).toMatch(/cannot be shown/);
});
