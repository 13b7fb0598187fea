import { needsDatabase, noDatabasePage } from './no-database';

const asked = (pathname: string, headers: Record<string, string>): boolean =>
  needsDatabase(pathname, new Headers(headers));
const page = { accept: 'text/html,application/xhtml+xml', 'sec-fetch-dest': 'document' };

describe('while the database is away', () => {
  it('a page that is gone to is answered for it', () => {
    expect(asked('/rigs/one/findings', page)).toBe(true);
    expect(asked('/', { accept: 'text/html' })).toBe(true);
  });
  it('a part of a page, a script and a picture are not: an open rig goes on without it', () => {
    expect(asked('/rigs/one', { ...page, rsc: '1' })).toBe(false);
    expect(asked('/_next/static/a.js', { accept: '*/*', 'sec-fetch-dest': 'script' })).toBe(false);
    expect(asked('/icon.svg', { accept: 'image/*', 'sec-fetch-dest': 'image' })).toBe(false);
    // What keeps a run's page for the phone asks as itself.
    expect(asked('/rigs/one/run', { accept: 'text/html', 'sec-fetch-dest': 'empty' })).toBe(false);
  });
  it('the page that flashes needs none', () => expect(asked('/flash', page)).toBe(false));
  it('the page tries again by itself, and carries its nonce', () => {
    const text = noDatabasePage('n0nce');
    expect(text).toContain('<meta http-equiv="refresh" content="5">');
    expect(text).toContain('<style nonce="n0nce">');
  });
});
