import type { CSSProperties } from 'react';
import type { BookPart } from './parts';

/** Small enough for a page of rows, large enough to be read beside a rack. */
export const TEXT: CSSProperties = { fontSize: '9.5pt', lineHeight: 1.3, color: '#000' };

const CELL: CSSProperties = {
  border: '0.2mm solid #777',
  padding: '0.8mm 1.5mm',
  verticalAlign: 'top',
  textAlign: 'start',
  overflowWrap: 'anywhere',
  whiteSpace: 'pre-line',
};

interface Props {
  readonly part: BookPart;
  readonly from: number;
  readonly to: number;
  readonly isFirst: boolean;
}

/** Rows of a part of the book, as they stand on a page: black on white, headings above. */
export const Part = ({ part, from, to, isFirst }: Props) => (
  <div style={TEXT}>
    {part.title !== '' && isFirst && (
      <h3 data-title style={{ fontSize: '11pt', fontWeight: 600, padding: '3mm 0 1mm', margin: 0 }}>
        {part.title}
      </h3>
    )}
    {part.is === 'words' ? (
      part.lines.slice(from, to).map((line, index) => (
        <p key={from + index} data-row style={{ margin: 0, padding: '0.5mm 0' }}>
          {line}
        </p>
      ))
    ) : (
      <table style={{ width: '100%', tableLayout: 'fixed', borderCollapse: 'collapse' }}>
        <colgroup>
          {part.columns.map(({ share }, index) => (
            <col key={index} style={{ width: `${share}%` }} />
          ))}
        </colgroup>
        <thead data-head>
          <tr>
            {part.columns.map(({ heading }, index) => (
              <th key={index} scope="col" style={{ ...CELL, fontWeight: 600, background: '#eee' }}>
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {part.rows.slice(from, to).map((row, index) => (
            <tr key={from + index} data-row>
              {row.map((cell, at) => (
                <td key={at} style={CELL}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    )}
  </div>
);
