/**
 * What one of each class usually costs new, without tax, rounded as people remember prices. A number of the studio's own currency: no exchange
 * rates are known here, and the user types what was really paid over it. Classes that cost nothing of themselves are 0.
 */
export const TYPICAL_PRICES: Readonly<Record<string, number>> = {
  'camera-mirrorless': 900, 'camera-full-frame': 1800, 'camera-camcorder': 1100, 'camera-roaming': 3800, 'player-graphics': 1900, 'camera-ptz': 1400, 'camera-studio': 2600, 'camera-mic-input': 800, 'webcam': 120, 'phone-camera': 500, 'player-slides': 700, 'player-console': 450,
  'splitter-hdmi-2': 40, 'splitter-sdi-4': 130, 'selector-hdmi-2': 25, 'selector-hdmi-4': 45, 'converter-sdi-12g': 220, 'converter-hdmi-sdi': 90, 'converter-sdi-hdmi': 90, 'converter-scan': 260, 'converter-line': 90,
  'capture-usb-2': 40, 'capture-5g': 160, 'capture-10g': 320, 'switcher-4': 350, 'switcher-6': 650, 'switcher-8': 1000, 'switcher-8-recording': 1400, 'switcher-20': 4200, 'computer-laptop': 1300, 'computer-desktop': 1600, 'hub-5g': 45, 'hub-usb-2': 15,
  'display-monitor': 140, 'display-2160': 320, 'prompter': 260, 'encoder-hardware': 420, 'encoder-hardware-sdi': 520, 'recorder-picture-sdi': 900, 'display-sdi': 260, 'recorder-picture': 700, 'recorder-sound': 260,
  'mic-dynamic-quiet': 380, 'mic-dynamic-stage': 100, 'mic-condenser-large': 260, 'mic-condenser-small': 180, 'mic-shotgun': 300, 'mic-ribbon': 420, 'mic-lavalier': 120, 'mic-boundary': 190, 'mic-headset': 220,
  'mic-wireless': 280, 'wireless-transmitter': 220, 'wireless-transmitter-recording': 290, 'wireless-receiver': 240, 'mic-usb': 130, 'booster-inline': 90, 'preamp-one': 450, 'preamp-eight-optical': 480, 'direct-box-active': 130, 'direct-box-passive': 60, 'pad-inline': 25, 'splitter-sound': 90,
  'channel-processor': 380, 'interface-2': 160, 'interface-4': 320, 'interface-8': 620, 'mixer-4': 550, 'mixer-8': 420, 'mixer-16': 1500, 'stage-box-8': 700, 'stage-box-16': 1200,
  'headphone-amplifier-4': 110, 'headphone-amplifier-8': 230, 'headphones-closed': 70, 'network-switch-8': 90, 'network-switch-16': 180, 'desk-network': 2400, 'personal-mixer': 450, 'intercom-base': 900, 'intercom-pack': 260, 'loudspeaker-active': 180, 'instrument-keyboard': 600, 'player-sound': 60,
  'stream': 0, 'recording-programme': 0, 'recording-tracks': 0, 'recording-pictures': 0, 'call': 0,
};
