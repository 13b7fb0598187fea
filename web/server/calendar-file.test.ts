import type { AgendaShow } from '@echo-loom/core';
import { calendarFile } from './calendar-file';

const SHOW: AgendaShow = {
  rigId: 'second-firing',
  rigName: 'Second Firing',
  showId: 'firing-1',
  name: 'Rehearsal, with; signs\\',
  on: '2026-12-31',
  fromMin: 20 * 60 + 30,
  beginsMin: 21 * 60 + 30,
  untilMin: 24 * 60 + 45,
  onSite: ['Host', 'Co-host'],
  remote: ['Historian'],
  batteries: ['Roaming camera'],
  cards: [],
};

/** Lines of a calendar as they were before they were folded. */
const lines = (text: string): string[] => text.replaceAll(/\r\n[ \t]/g, '').split('\r\n');

describe('the schedule as a calendar file', () => {
  it('has the time on the wall, past midnight on the next day', () => {
    const file = lines(calendarFile([SHOW]));
    expect(file[0]).toBe('BEGIN:VCALENDAR');
    expect(file).toContain('VERSION:2.0');
    expect(file).toContain('DTSTART:20261231T203000');
    expect(file).toContain('DTEND:20270101T004500');
    expect(file).toContain('UID:firing-1.second-firing@echo-loom');
  });
  it('escapes what a calendar would read as its own', () => {
    const file = lines(calendarFile([SHOW]));
    expect(file).toContain('SUMMARY:Second Firing: Rehearsal\\, with\\; signs\\\\');
    expect(file.find((line) => line.startsWith('DESCRIPTION'))).toBe(
      'DESCRIPTION:In the room: Host\\, Co-host\\nBy line: Historian\\nCharge the evening before: Roaming camera',
    );
    for (const line of calendarFile([{ ...SHOW, name: 'ü'.repeat(200) }]).split('\r\n'))
      expect(Buffer.byteLength(line)).toBeLessThanOrEqual(150);
  });
  it('is a whole day where nobody has said when, and empty where there is no show', () => {
    expect(
      lines(calendarFile([{ ...SHOW, fromMin: null, beginsMin: null, untilMin: null }])),
    ).toContain('DTSTART;VALUE=DATE:20261231');
    const none = lines(calendarFile([]));
    expect(none).toContain('BEGIN:VCALENDAR');
    expect(none).not.toContain('BEGIN:VEVENT');
  });
});
