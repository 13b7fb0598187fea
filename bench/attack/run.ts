import { cluster, freePort, Served } from '../../e2e/served';
import { editTogether, putOnShelf } from './editors';
import { sendFiles } from './files';
import { sendBroken } from './inputs';
import { killAgainAndAgain, recover } from './kills';
import { occupy } from './occupy';
import { openTabs } from './tabs';

/**
 * The attack from outside, on the production build and a PostgreSQL of its own, everything on this machine:
 * npm run attack [PART ...]     PART: kills editors inputs files tabs recovery occupy; all of them
 * where none is named
 * Counts are bounded. Prints a figure for each part; exits with 1 where one is not what it must be.
 */

const CLUSTER = 'attack';
const parts = process.argv.slice(2);
const wants = (part: string): boolean => parts.length === 0 || parts.includes(part);
const failures: string[] = [];
const tell = (part: string, figures: object): void =>
  console.log(part.padEnd(28), JSON.stringify(figures));
const must = (holds: boolean, what: string): void => {
  if (!holds) failures.push(what);
};
/** A part of the whole number for a quick look: ATTACK_SHARE=0.1 */
const share = Number(process.env['ATTACK_SHARE'] ?? 1);
const times = (count: number): number => Math.max(2, Math.round(count * share));

const databaseUrl = cluster('start', CLUSTER);
const served = new Served(await freePort(), databaseUrl);
const second = new Served(await freePort(), databaseUrl);
try {
  await served.start();
  served.loadDemo();
  if (wants('recovery')) {
    const found = await recover(served, CLUSTER, 'night-tide');
    tell('recovery', found);
    must(
      found.backMs <= 1000 && found.failedAfter === 0,
      'back within 1 s, no request failing after',
    );
  }
  if (wants('tabs')) {
    const found = await openTabs(served, 'night-tide', 12);
    tell('tabs', found);
    must(
      found.streams <= 2 && found.heard === 12 && found.heardAfterLeaderClosed === 11,
      'twelve tabs work',
    );
  }
  if (wants('files')) {
    for (const found of await sendFiles(served)) {
      tell('file', found);
      must(
        found.seconds <= 2 && found.healthMs <= 200 && found.moreMb <= 300,
        `file in bounds: ${found.what}`,
      );
    }
  }
  if (wants('occupy')) {
    for (const found of await occupy(
      served,
      await putOnShelf(served.url, 'demo/second-firing.rig.json'),
    )) {
      tell('occupy', found);
      must(found.healthMs <= 500, `health is answered during ${found.what}`);
    }
  }
  if (wants('editors')) {
    await second.start();
    for (const rig of ['second-firing', 'harbour-hall']) {
      for (const urls of [[served.url], [served.url, second.url]]) {
        const id = await putOnShelf(served.url, `demo/${rig}.rig.json`);
        const found = await editTogether(urls, id, 40, times(30), 2000);
        tell(`40 editors, ${rig}, ${urls.length}`, found);
        must(
          found.p95Ms <= 1000 && found.lost + found.twice + found.diverged === 0,
          `40 editors on ${rig} with ${urls.length}`,
        );
      }
    }
    await second.end();
  }
  if (wants('inputs')) {
    const found = await sendBroken(served, times(10_000), Number(process.env['ATTACK_SEED'] ?? 1));
    tell('broken inputs', { ...found, serverErrors: found.serverErrors.length });
    for (const error of found.serverErrors.slice(0, 10)) console.log('  ', error);
    must(
      found.crashes + found.serverErrors.length + found.silentChanges === 0,
      'broken inputs do no harm',
    );
  }
  if (wants('kills')) {
    const id = await putOnShelf(served.url, 'demo/night-tide.rig.json');
    const found = await killAgainAndAgain(served, CLUSTER, id, times(160), times(45));
    tell('kills', found);
    must(found.lost + found.twice === 0, 'nothing acknowledged is lost');
  }
} finally {
  await served.end('SIGTERM');
  await second.end('SIGTERM');
  cluster('remove', CLUSTER);
}
for (const what of failures) console.log(`NOT MET: ${what}`);
process.exitCode = failures.length > 0 ? 1 : 0;
