import { analyse } from '../../analyse';
import {
  apply,
  DEFAULT_HOUSE_RULES,
  HOUSE_QUESTION_KEYS,
  HOUSE_QUESTIONS,
  type HouseRules,
  houseRuleText,
} from '../../rig';
import { found, rule, two } from './schools-for-cases';

describe('money as a rule', () => {
  const withBudget = (budget: number) => apply(two, { type: 'writeBrief', brief: { budget } });
  it('speaks where what is to be bought passes the budget, with the sum', () => {
    expect(found(withBudget(100_000), 'brief.over-budget')).toEqual([]);
    const [finding] = found(withBudget(1000), 'brief.over-budget');
    expect(finding?.level).toBe('warn');
    expect(finding?.title).toMatch(/^Over budget by \d+$/);
  });
});

describe('every finding that depends on a school names it', () => {
  it('and the house rule it names reads as a sentence', () => {
    const rules: Partial<HouseRules> = {
      captureSize: '2160p throughout',
      computers: 'two',
      soundRecorded: 'into the camera',
      microphones: 'usb',
      switching: 'software',
    };
    const findings = analyse(rule(two, rules)).findings.filter(
      ({ area, code }) => area === 'brief' && code !== 'brief.over-budget',
    );
    expect(findings.length).toBeGreaterThanOrEqual(5);
    for (const { code, houseRule } of findings)
      expect([
        code,
        houseRule && houseRuleText(DEFAULT_HOUSE_RULES, houseRule).length > 10,
      ]).toEqual([code, true]);
  });
});

describe('the questions', () => {
  it('are the twenty-two of the field, each with a default that is its first school', () => {
    expect(HOUSE_QUESTION_KEYS).toHaveLength(22);
    for (const key of HOUSE_QUESTION_KEYS)
      expect(DEFAULT_HOUSE_RULES[key]).toBe(HOUSE_QUESTIONS[key].schools[0].value);
  });
  it.each(HOUSE_QUESTION_KEYS.map((key) => [HOUSE_QUESTIONS[key].question, key] as const))(
    '%s: each school says why and what it changes',
    (_question, key) => {
      const { schools } = HOUSE_QUESTIONS[key];
      expect(schools.length).toBeGreaterThanOrEqual(2);
      expect(new Set(schools.map(({ value }) => value)).size).toBe(schools.length);
      for (const { reason, changes: effect } of schools)
        for (const text of [reason, effect]) expect(text).toMatch(/^[A-Z].{10,}\.$/);
    },
  );
});
