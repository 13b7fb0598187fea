/** @jest-environment jsdom */
import { type Analysis, apply, type Rig, RigDraft } from '@echo-loom/core';
import { act, screen, within } from '@testing-library/react';
import user from '@testing-library/user-event';
import { type ReactNode, useState } from 'react';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { field } from '@/ui/in-browser-for-tests';
import { Carries } from './Carries';
import { Chosen } from './Chosen';
import { DeviceFields } from './DeviceFields';
import { Elevation } from './Elevation';
import { EyeLines } from './EyeLines';
import { Frames } from './Frames';
import { Openings } from './Openings';
import { Sets } from './Sets';
import { Standing } from './Standing';
import { SupportFields } from './SupportFields';
import { thingsOf } from './things';

/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), `${text}{Enter}`);
};
const press = (name: RegExp | string) => userEvent.click(screen.getByRole('button', { name }));

/** A part of the view, with the rig as it is at the moment. */
const Part = ({ of }: { readonly of: (analysis: Analysis) => ReactNode }) =>
  of(useRig((state) => state.analysis));
const open = (rig: Rig, of: (analysis: Analysis) => ReactNode) => {
  const { session } = drawWithRig(rig, <Part of={of} />);
  return { session, rig: () => session.store.getState().rig };
};
const shed = () => demo('second-firing');

describe('what carries things', () => {
  it('has its figures typed over, and an arm of a stand taken off', async () => {
    const { rig } = open(shed(), (analysis) => <SupportFields analysis={analysis} id="boom" />);
    await type('Bag on the foot opposite', '2');
    expect(rig().supports['boom']?.figures).toMatchObject({ ballastKg: 2 });
    await userEvent.clear(field('Its arm reaches'));
    await userEvent.type(field('Its arm reaches'), '{Enter}');
    expect(rig().supports['boom']?.figures).toMatchObject({ out: null });
  });
  it('says what hangs on it and how it stands', () => {
    open(shed(), (analysis) => <Carries analysis={analysis} id="boom" />);
    expect(screen.getByText(/^Carries 1\.60 kg/)).toBeTruthy();
    expect(
      screen.getByText(/^Stands 1\.18 times; 1\.5 is asked for: a bag of 0\.71 kg\.$/),
    ).toBeTruthy();
  });
  it('is clamped to another desk', async () => {
    const { rig } = open(shed(), (analysis) => <SupportFields analysis={analysis} id="host-arm" />);
    await userEvent.selectOptions(screen.getByLabelText('Clamped to'), 'wheel');
    expect(rig().supports['host-arm']?.onId).toBe('wheel');
  });
  it('is brought in, to the middle of the room', async () => {
    const chosen: string[] = [];
    const { rig } = open(shed(), (analysis) => (
      <Standing analysis={analysis} onSelect={(key) => chosen.push(key)} />
    ));
    await userEvent.selectOptions(screen.getByLabelText('Something that carries'), 'Arm, heavy');
    await press('Add');
    expect(rig().supports['arm-heavy']?.figures.is).toBe('arm');
    expect(chosen).toEqual(['support:arm-heavy']);
    await press('Slides');
    expect(rig().devices['slides']?.at).not.toBeNull();
  });
});

describe('a device', () => {
  it('is stood on something else, and raised', async () => {
    const { rig } = open(shed(), (analysis) => <DeviceFields analysis={analysis} id="switcher" />);
    await userEvent.selectOptions(screen.getByLabelText('Stands on'), 'glazes');
    expect(rig().devices['switcher']?.on?.supportId).toBe('glazes');
    await type('Over its surface', '0.1');
    expect(rig().devices['switcher']?.on?.upM).toBe(0.1);
    expect(screen.getByText(/^Typical of its class: 0\.3 × 0\.18 × 0\.06 m, 1\.2 kg/)).toBeTruthy();
  });
});

const Selected = ({ analysis, of }: { readonly analysis: Analysis; readonly of: string }) => {
  const [to, setTo] = useState<string | null>(null);
  const things = thingsOf(analysis);
  const thing = things.find(({ key }) => key === of);
  return (
    thing && (
      <Chosen
        analysis={analysis}
        thing={thing}
        things={things}
        units="m"
        measuredTo={to}
        onMeasure={setTo}
        onPut={() => undefined}
        onGone={() => undefined}
      />
    )
  );
};

describe('what is chosen', () => {
  it('is measured against something else, in three dimensions', async () => {
    open(shed(), (analysis) => <Selected analysis={analysis} of="person:host" />);
    await userEvent.selectOptions(screen.getByLabelText('Measure to'), 'person:potter');
    // 4 m across and 0.7 m up the plan; one sits at 1.20 m and one stands at 1.60 m.
    expect(screen.getByRole('status').textContent).toBe(
      '4.08 m through the room, 4.06 m along the plan, 80°',
    );
  });
  it('is told how tall it is', async () => {
    const { rig } = open(shed(), (analysis) => <Selected analysis={analysis} of="person:host" />);
    await type('Tall', '1.7');
    expect(rig().people['host']?.statureM).toBe(1.7);
  });
  it('is copied and taken away, each as one edit', async () => {
    const { rig, session } = open(shed(), (analysis) => (
      <Selected analysis={analysis} of="support:glazes" />
    ));
    await press('Copy');
    expect(Object.keys(rig().supports)).toContain('trolley-with-glazes');
    await press('Take it away');
    expect(rig().supports['glazes']).toBeUndefined();
    act(() => session.undo());
    expect(rig().supports['glazes']).toBeDefined();
  });
  it('has its height, where it is a noise', async () => {
    const { rig } = open(shed(), (analysis) => (
      <Selected analysis={analysis} of="noise:kiln-fan" />
    ));
    await type('Over the floor', '2.2');
    expect(rig().noises['kiln-fan']?.heightM).toBe(2.2);
  });
});

describe('sets', () => {
  it('are kept under a name and stood as', async () => {
    const { rig } = open(shed(), (analysis) => <Sets analysis={analysis} />);
    await userEvent.type(screen.getByLabelText('Name of a new set'), 'Rehearsal{Enter}');
    expect(rig().sets['rehearsal']?.name).toBe('Rehearsal');
    await press('Stand as in The firing');
    expect(rig().people['host']?.at).toEqual({ xM: 8.6, yM: 4, facingDeg: 200 });
    await press('Stand as in Rehearsal');
    expect(rig().people['host']?.at).toEqual({ xM: 1, yM: 1.5, facingDeg: 20 });
    await press('Remove the set Rehearsal');
    expect(rig().sets['rehearsal']).toBeUndefined();
  });
});

describe('in the walls, and ways', () => {
  it('a door is added, put in another wall, and taken out', async () => {
    const { rig } = open(demo('night-tide'), (analysis) => <Openings analysis={analysis} />);
    await press('Add a door');
    const added = Object.keys(rig().openings).find((id) => rig().openings[id]?.alongM === 1);
    if (added === undefined) throw new Error('no door was added');
    await userEvent.selectOptions(screen.getAllByLabelText('Wall of Door')[1] as Element, '2');
    expect(rig().openings[added]?.wall).toBe(2);
    await press('Add a way that stays free');
    await type('Width of Way', '1.2');
    expect(Object.values(rig().walkways)).toMatchObject([{ name: 'Way', widthM: 1.2 }]);
  });
  it('there are none where nobody has drawn the room', () => {
    open(apply(shed(), { type: 'drawRoom', room: null }), (analysis) => (
      <Openings analysis={analysis} />
    ));
    expect(screen.queryByText('In the walls, and ways')).toBeNull();
  });
});

describe('what is drawn beside the plan', () => {
  it('has every shot’s picture with what is in it, and the room from the side', () => {
    open(shed(), (analysis) => (
      <>
        <Frames analysis={analysis} />
        <Elevation analysis={analysis} units="m" />
        <EyeLines analysis={analysis} />
      </>
    ));
    expect(
      screen.getByRole('img', { name: /^In the picture of Co-host camera: .*Multiview/ }),
    ).toBeTruthy();
    expect(
      screen.getByRole('img', { name: /^From the side: .*Guest potter up to 1\.71 m/ }),
    ).toBeTruthy();
    const lines = within(screen.getByRole('table', { name: 'Eye lines' })).getAllByRole('row');
    expect(lines.length).toBeGreaterThan(4);
  });
  it('is nothing where nothing stands anywhere', () => {
    open(new RigDraft('Empty').build(), (analysis) => (
      <>
        <Frames analysis={analysis} />
        <Elevation analysis={analysis} units="m" />
        <EyeLines analysis={analysis} />
      </>
    ));
    expect(screen.queryByRole('img')).toBeNull();
  });
});
