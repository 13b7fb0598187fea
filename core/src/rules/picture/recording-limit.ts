import { cameraRule } from '../rule-of';

export const recordingLimit = cameraRule(
  'picture.recording-limit',
  {
    looksFor: 'A camera whose own recording ends before the show does.',
    why: 'The file on its card stops; the picture on its output goes on. The two are often confused.',
    remedy: 'Count on the output and record elsewhere, or start a new file in a break.',
    source: 'handbook 3-picture: loop outputs still work past a recording limit',
  },
  ({ node, camera, showMin }, measured) =>
    camera.recordLimitMin === undefined || showMin === null || camera.recordLimitMin >= showMin
      ? null
      : {
          level: 'note',
          title: `Own recording ends after ${camera.recordLimitMin} min`,
          says:
            `A recording on the card of ${measured.device(node).name} ends after ${camera.recordLimitMin} ` +
            `min; its output goes on. The show lasts ${showMin} min: count on the output, and ` +
            'record it elsewhere.',
        },
);
