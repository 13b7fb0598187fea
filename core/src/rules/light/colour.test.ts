import { ruleCases } from '../judge-for-cases';
import { AT_HOST, doing, fill, key, lamp, lit, window } from '../light-for-cases';

const kelvin = (deviceId: string, value: number) =>
  doing({ type: 'setControl', deviceId, control: 'colour', value });

ruleCases('light.colour-mix', {
  valid: {
    'two lamps of one colour': lit(key, fill),
    'another colour of which hardly any falls on the face': lit(
      key,
      fill,
      lamp('practical', 'light-practical', 2.5, 60, 1),
    ),
    'within 20 mired': lit(key, fill, kelvin('fill', 5200)),
  },
  invalid: {
    'worked: 5,600 against 3,200 K is 134 mired': {
      rig: lit(key, fill, kelvin('fill', 3200)),
      level: 'warn',
      says: /134 mired apart on the face of Host/,
      sum: 133.929,
      fixes: [/^Set fill to 5,600 K/, /^Turn fill off/],
    },
    'a little warmer': {
      rig: lit(key, fill, kelvin('fill', 4800)),
      level: 'note',
      says: /30 mired apart/,
    },
    'a window beside a lamp': {
      rig: lit(key, fill, window({ atMin: 600 }), kelvin('fill', 5600)),
      level: 'note',
      says: /Window is 7,500 K/,
    },
  },
});

ruleCases('light.white-balance', {
  valid: { 'cameras balanced to the lamps': lit(key, fill) },
  invalid: {
    'cameras at 3,200 K under daylight': {
      rig: lit(key, fill, doing({ type: 'setLightRules', lightRules: { whiteK: 3200 } })),
      level: 'warn',
      says: /The light on the faces comes to 5,600 K and the cameras are balanced to 3,200 K/,
      fixes: [/^Balance every camera to 5,600 K/],
    },
  },
});

ruleCases('light.house-colour', {
  valid: {
    'as the house works': lit(key, fill),
    'where the house takes it as it comes': lit(
      lamp('key', 'light-spot-hot', 3, -30, 1.9, 30, AT_HOST),
      doing(
        { type: 'setLightRules', lightRules: { whiteK: 3200 } },
        { type: 'setHouseRules', rules: { lightColour: 'as it comes' } },
      ),
    ),
  },
  invalid: {
    'cameras warm in a daylight house': {
      rig: lit(key, fill, doing({ type: 'setLightRules', lightRules: { whiteK: 4300 } })),
      level: 'note',
      says: /54 mired from the 5,600 K the house works in/,
      fixes: ['Balance every camera to 5,600 K'],
    },
  },
});
