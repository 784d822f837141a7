import { fireEvent, render, screen } from '@testing-library/react';
import { PhotoField } from './PhotoField.js';

/** jsdom draws no pictures: one that this text names is none. */
const bitmapOf = (file: Blob) =>
  file.size > 3
    ? Promise.resolve({ width: 1280, height: 640, close: () => undefined })
    : Promise.reject(new Error());

describe('taking a photo', () => {
  const taken: string[] = [];
  beforeEach(() => {
    taken.length = 0;
    Object.assign(globalThis, { createImageBitmap: bitmapOf });
    jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null);
    jest.spyOn(HTMLCanvasElement.prototype, 'toDataURL').mockImplementation(function (
      this: HTMLCanvasElement,
    ) {
      return `${this.width} by ${this.height}`;
    });
    render(<PhotoField taken={false} onPhoto={(photo) => taken.push(photo)} />);
  });
  const give = (words: string) =>
    fireEvent.change(screen.getByLabelText(/photo/), { target: { files: [new File([words], 'a.jpg')] } });

  it('says of what is no photo that it cannot be read, and takes the next', async () => {
    give('no');
    expect(await screen.findByText('That is no photo that can be read: take another')).toBeTruthy();
    expect(taken).toEqual([]);
    give('a photo');
    expect(await screen.findByText('Take a photo')).toBeTruthy();
    // half of what the camera gave: it is shrunk before it is kept
    expect(taken).toEqual(['640 by 320']);
  });
});
