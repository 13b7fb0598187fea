import { inOrder, type Rig, type Segment } from '../rig';
import { csvOf, rowsOfCsv } from '../rig/files/csv';
import { cleanLine, cleanText } from '../rig/text';
import { durationText } from './rundown';

/** A rundown from text or a table, and out as a table. */

export interface RundownFault {
  /** Counted from 1, as an editor shows it */
  readonly line: number;
  readonly says: string;
}

export interface ReadRundown {
  readonly segments: readonly Omit<Segment, 'order'>[];
  readonly faults: readonly RundownFault[];
}

const FIELDS = ['Title', 'Length', 'Scene', 'Heard', 'Cue', 'Notes'] as const;
type Field = (typeof FIELDS)[number];

const MOST_S = 24 * 3600;

/** `4:30`, `1:02:00`, `4 min`, `90 s`, `1 h`, or a number of minutes. @returns whole seconds; null where it is none */
export const lengthOf = (text: string): number | null => {
  const plain = text.trim().toLowerCase().replace(',', '.');
  const clock = /^(?:(\d{1,2}):)?(\d{1,3}):([0-5]\d)$/.exec(plain);
  if (clock) {
    const [hours = 0, minutes = 0, seconds = 0] = clock.slice(1).map((part) => Number(part ?? 0));
    return hours * 3600 + minutes * 60 + seconds;
  }
  const counted = /^(\d+(?:\.\d+)?)\s*(h|min|m|s|sec)?\.?$/.exec(plain);
  if (!counted) return null;
  const times = { h: 3600, min: 60, m: 60, s: 1, sec: 1 }[counted[2] ?? 'min'] ?? 60;
  return Math.round(Number(counted[1]) * times);
};

/** A line of plain text: its length stands first or last. */
const fromLine = (line: string): Partial<Record<Field, string>> => {
  const LENGTH = '(\\d{1,3}(?::[0-5]\\d){1,2}|\\d+(?:[.,]\\d+)?\\s*(?:h|min|m|s|sec))';
  const last = new RegExp(`^(.*?)[\\s,;–-]*\\s${LENGTH}\\s*$`, 'i').exec(line);
  if (last) return { Title: last[1] ?? '', Length: last[2] ?? '' };
  const first = new RegExp(`^\\s*${LENGTH}[\\s,;–-]+(.*)$`, 'i').exec(line);
  return first ? { Title: first[2] ?? '', Length: first[1] ?? '' } : { Title: line, Length: '' };
};

const byName = (items: Readonly<Record<string, { readonly name: string }>>, name: string) =>
  Object.entries(items).find(
    ([id, item]) => item.name.toLowerCase() === name.toLowerCase() || id === name,
  )?.[0] ?? null;

type Row = { readonly line: number; readonly cells: Partial<Record<Field, string>> };

const rowsOf = (text: string): Row[] => {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n?|\n/);
  const [header] = rowsOfCsv(lines.find((line) => line.trim() !== '') ?? '');
  const columns = (header?.cells ?? []).map((cell) =>
    FIELDS.find((field) => field.toLowerCase() === cell.trim().toLowerCase()),
  );
  if (!columns.includes('Title') || !columns.includes('Length'))
    return lines.flatMap((line, at) =>
      line.trim() === '' ? [] : [{ line: at + 1, cells: fromLine(line) }],
    );
  return rowsOfCsv(text)
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''))
    .slice(1)
    .map(({ line, cells }) => ({
      line,
      cells: Object.fromEntries(
        cells.flatMap((cell, at) => {
          const field = columns[at];
          return field ? [[field, cell]] : [];
        }),
      ),
    }));
};

/**
 * Segments as somebody typed or pasted them: a line each with its length first or last, or a table with the headings
 * Title, Length, Scene, Heard, Cue, Notes. Each fault is told by its line; the rest stands.
 */
export const readRundown = (text: string, rig: Pick<Rig, 'scenes' | 'people'>): ReadRundown => {
  const segments: Omit<Segment, 'order'>[] = [];
  const faults: RundownFault[] = [];
  for (const { line, cells } of rowsOf(text)) {
    const cell = (field: Field): string => cells[field] ?? '';
    const title = cleanLine(cell('Title'));
    const lengthS = lengthOf(cell('Length'));
    const sceneName = cell('Scene').trim();
    const sceneId = sceneName === '' ? null : byName(rig.scenes, sceneName);
    const names = cell('Heard')
      .split(/[;,]/)
      .map((name) => name.trim())
      .filter((name) => name !== '');
    const heard = names.map((name) => byName(rig.people, name));
    const unknown = names.filter((_, at) => heard[at] === null);
    const says =
      title === ''
        ? 'it has no title'
        : lengthS === null
          ? `“${title}” has no length, such as 4:30 or 5 min`
          : lengthS < 1 || lengthS > MOST_S
            ? `“${title}” lasts ${durationText(lengthS)}; from a second to a day can be planned`
            : sceneName !== '' && sceneId === null
              ? `there is no scene “${sceneName}”`
              : unknown.length > 0
                ? `there is nobody called “${unknown[0]}”`
                : null;
    if (says !== null || lengthS === null) faults.push({ line, says: says ?? '' });
    else
      segments.push({
        title,
        lengthS,
        sceneId,
        heard: names.length === 0 ? null : heard.filter((id) => id !== null),
        cue: cleanLine(cell('Cue'), 200),
        notes: cleanText(cell('Notes'), 2000).trim(),
      });
  }
  return { segments, faults };
};

/** The rundown as a table that reads back the same. */
export const rundownToCsv = ({
  segments,
  scenes,
  people,
}: Pick<Rig, 'segments' | 'scenes' | 'people'>): string =>
  csvOf(
    FIELDS,
    inOrder(segments).map(([, { title, lengthS, sceneId, heard, cue, notes }]) => [
      title,
      durationText(lengthS),
      sceneId === null ? '' : (scenes[sceneId]?.name ?? sceneId),
      (heard ?? []).map((id) => people[id]?.name ?? id).join('; '),
      cue,
      notes,
    ]),
  );
