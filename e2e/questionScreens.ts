import type { Browser } from './browser';
import { screenSteps, type Screen } from './screenSteps';

/** Questions as a student meets them: before the commit, and some of them after. */
export function questionScreens(browser: () => Browser): Screen[] {
  const { press, radio, drawUp, ...b } = screenSteps(browser);
  return [
    [
      'draw the hand-over',
      '/teach/lessons/one-goes-one-comes/preview?step=s2',
      [press('Begin'), () => b.see('comes, kPa')],
    ],
    [
      'draw the hand-over, answered',
      '/teach/lessons/one-goes-one-comes/preview?step=s3',
      [
        press('Begin'),
        () => b.see('comes, kPa'),
        drawUp,
        radio('certain'),
        press('Commit prediction'),
        () => b.see('holds all that it carries'),
      ],
    ],
    [
      'bolt by bolt',
      '/teach/lessons/bolt-by-bolt/preview?step=s2',
      [press('Begin'), press('Bolt A, M6'), () => b.see('1 of 10')],
    ],
    [
      'bolt by bolt, answered',
      '/teach/lessons/bolt-by-bolt/preview?step=s3',
      [
        press('Begin'),
        ...[...'ADGJBEHKCF'].map((id) => press(new RegExp(`^Bolt ${id},`))),
        radio('each to its torque before the next'),
        radio('certain'),
        press('Commit prediction'),
        () => b.see('As you turned them'),
      ],
    ],
    ['player, prediction', '/teach/lessons/hold-one-drive-one/preview', [press('Begin')]],
    ['player, roles', '/teach/lessons/name-the-parts/preview', [press('Begin'), press(/2 One in/)]],
    [
      'player, line by line',
      '/teach/lessons/hold-one-drive-one/preview',
      [
        press('Begin'),
        () => b.fill('spinbutton', 'Ratio', '7.7'),
        () => b.pressRole('radio', 'same way'),
        () => b.pressRole('radio', 'certain'),
        press('Commit prediction'),
        press('2'),
        () => b.see('Then line 2 is where'),
      ],
    ],
    [
      'player, answer',
      '/teach/lessons/hold-one-drive-one/preview',
      [
        press('Begin'),
        () => b.fill('spinbutton', 'Ratio', '2.33'),
        () => b.pressRole('radio', 'same way'),
        () => b.pressRole('radio', 'certain'),
        press('Commit prediction'),
        press('Work it out'),
      ],
    ],
    [
      'player, where is the ball',
      '/teach/lessons/where-is-the-ball/preview?step=s3',
      [press('Begin'), () => b.see('One ball of the separator plate')],
    ],
    ['player, bench', '/teach/lessons/name-the-parts/preview', [press('Begin')]],
    ['record', '/teach/lessons/name-the-parts/preview', [press('Begin'), press('Your record')]],
    [
      'symptom row, asked',
      '/teach/lessons/good-gears-bad-gears/preview',
      [press('Begin'), press(/2 The direct/), () => b.see('Say for each range')],
    ],
    [
      'which test, asked',
      '/teach/lessons/good-gears-bad-gears/preview',
      [press('Begin'), press(/5 Spend/), () => b.see('Drive D 3')],
    ],
    [
      'a whole case',
      '/teach/lessons/before-you-strip-it/preview',
      [press('Begin'), press(/2 The pier/), () => b.see('Set the controls')],
    ],
    [
      'noise test, answered',
      '/teach/lessons/listen-and-start/preview',
      [press('Begin'), radio('first touch, neutral'), radio('certain'), press('Commit prediction')],
    ],
    [
      'which side, asked',
      '/teach/lessons/two-sides-of-one-sleeve/preview',
      [press('Begin'), press(/2 One gear/), () => b.see('What the driver tells')],
    ],
    [
      'which gear waits, asked',
      '/teach/lessons/the-gear-that-waits/preview',
      [press('Begin'), press(/7 Away/), () => b.see('Changes up at')],
    ],
    [
      'crossing, asked',
      '/teach/lessons/draw-the-crossing/preview',
      [press('Begin'), press(/2 Fourth/), () => b.see('Drag the ends')],
    ],
    [
      'player, which next',
      '/teach/lessons/what-comes-off-first/preview',
      [press('Begin'), press(/3 Half way/)],
    ],
    [
      'player, reuse it or not',
      '/teach/lessons/reuse-it-or-not/preview',
      [press('Begin'), press(/2 The band/)],
    ],
    [
      'player, read the scale',
      '/teach/lessons/set-it/preview',
      [press('Begin'), press(/2 End play/)],
    ],
    [
      'player, a whole job',
      '/teach/lessons/your-own-work/preview',
      [press('Begin'), press(/3 The whole/), radio('Together')],
    ],
    [
      'fill the chart, answered',
      '/teach/lessons/fill-the-chart/preview',
      [press('Begin'), press(/^2 /), radio('certain'), press('Commit prediction')],
    ],
    ['trace the power', '/teach/lessons/follow-the-power/preview', [press('Begin')]],
    [
      'what does this row do, answered',
      '/teach/lessons/what-does-this-row-do/preview',
      [
        press('Begin'),
        radio('neutral'),
        radio('certain'),
        press('Commit prediction'),
        press('Work it out'),
      ],
    ],
    [
      'sketch the curve',
      '/teach/lessons/why-it-multiplies/preview',
      [press('Begin'), () => b.see('Drag the handles')],
    ],
    [
      'operate to a target',
      '/teach/lessons/why-it-multiplies/preview',
      [press('Begin'), press(/3 Make it/)],
    ],
    ['read off the match', '/teach/lessons/read-the-crossing/preview', [press('Begin')]],
    [
      'own order',
      '/teach/lessons/part-in-your-hand/preview',
      [press('Begin'), press(/4 Bin 5/), () => b.see('Bin 5 was tipped over')],
    ],
  ];
}
