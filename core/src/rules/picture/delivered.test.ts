import { USUAL_DELIVERABLES } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { shotOf, show } from '../rigs-for-cases';

const stream = (format: string, bitrateMbps: number) =>
  show()
    .do({
      type: 'changeDeliverable',
      deliverableId: 'stream',
      deliverable: { format, bitrateMbps },
    })
    .build();

ruleCases('picture.bits-thin', {
  valid: { '6 Mb/s of 1080p30: 0.096 bits': stream('1920x1080p30', 6) },
  invalid: {
    '2.5 Mb/s of 1080p30: 0.040 bits': {
      rig: stream('1920x1080p30', 2.5),
      level: 'note',
      sum: 0.04,
      fixes: ['Deliver Live stream at 3.2 Mb/s'],
    },
    '6 Mb/s of 2160p30: 0.024 bits': {
      rig: stream('3840x2160p30', 6),
      level: 'warn',
      sum: 0.024,
      says: /Movement falls apart/,
      fixes: ['Deliver Live stream at 12.5 Mb/s'],
    },
  },
});

const large = (
  punchIn: number,
  captureSize: '2160p throughout' | '1080p everywhere' = '2160p throughout',
) =>
  shotOf({ settings: { format: '3840x2160p60' }, shot: { punchIn } })
    .do({ type: 'setHouseRules', rules: { captureSize } })
    .build();
ruleCases('picture.more-than-delivered', {
  valid: {
    'a cut into it is planned': large(2),
    'a house that has 1080p everywhere judges it by its own rule': large(1, '1080p everywhere'),
  },
  invalid: {
    '2160 lines for a delivery of 1080': {
      rig: large(1),
      level: 'note',
      says: /sends 2160 lines and at most 1080 are delivered/,
    },
  },
});

const clips = (format: string) =>
  shotOf({ settings: { format } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'clips',
      deliverable: USUAL_DELIVERABLES['vertical clips'],
    })
    .build();
ruleCases('picture.upright-enlarged', {
  valid: { 'cut out of 2160 lines': clips('3840x2160p60') },
  invalid: {
    '1920 lines cut upright out of 1080': {
      rig: clips('1920x1080p60'),
      level: 'note',
      says: /cut upright out of pictures of 1080 lines and enlarged 1\.78 times/,
      sum: 1.778,
      fixes: ['Deliver Vertical clips at 606×1080'],
    },
  },
});
