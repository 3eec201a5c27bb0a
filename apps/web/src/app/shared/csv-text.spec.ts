import { parse } from 'papaparse';
import { csvText } from './csv-text.ts';

describe('a table as CSV', () => {
  const cellsOf = (cells: string[]): string[] =>
    (
      parse(
        csvText(
          ['a'],
          cells.map((cell) => [cell]),
        ),
      ).data as string[][]
    )
      .slice(1)
      .map(([cell = '']) => cell);

  it('runs no cell as a formula, however it is spelled', () => {
    const spelled = ['=1+1', ' =1+1', '\t=1', '\r=1', '+1', '-2+3', '@SUM(A1)', '\uff1d1', '\uff20x', '\u00a0=1', '-x'];
    for (const [i, cell] of cellsOf(spelled).entries()) expect(cell).toBe(`'${spelled[i] ?? ''}`);
  });

  it('leaves words and numbers as they are, below nothing and with units too', () => {
    const plain = [
      'Sable Wren',
      '-3',
      '-0.39 m',
      '\u22120.39 m',
      '-3,5 dB',
      '12.9 V',
      'a=b',
      '',
      'with "quotes", commas',
    ];
    expect(cellsOf(plain)).toEqual(plain);
  });
});
