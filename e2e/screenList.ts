import { Key } from 'selenium-webdriver';
import type { Browser } from './browser';
import { chooseOption } from './choose';
import { questionScreens } from './questionScreens';
import { screenSteps, type Screen } from './screenSteps';

/** Every screen that tests look at. */
export function screenList(browser: () => Browser): Screen[] {
  const { press, radio, ...b } = screenSteps(browser);
  return [
    ...questionScreens(browser),
    ['home', '/', []],
    ['library', '/teach/lessons', []],
    ['library, learn', '/learn/lessons', []],
    [
      'library, draft',
      '/teach/lessons',
      [press('Draft a lesson'), () => b.see('easy before hard')],
    ],
    ['builder', '/teach/lessons/hold-one-drive-one', [() => b.see('The model answers')]],
    [
      'builder, live gear set',
      '/teach/lessons/name-the-parts',
      [
        () => b.see('Live gear set'),
        () =>
          browser().driver.executeScript(
            'document.querySelector(".end-view-field").scrollIntoView({ block: "center" })',
          ),
      ],
    ],
    [
      'worksheets',
      '/teach/lessons/hold-one-drive-one/paper',
      [() => b.see('Ring held, sun drives')],
    ],
    ['run', '/teach/lessons/hold-one-drive-one/run', [() => b.see('What does the class say?')]],
    [
      'run, notes',
      '/teach/lessons/hold-one-drive-one/run/notes',
      [() => b.see('The wall is not open')],
    ],
    ['room, to open', '/teach/rooms/new/hold-one-drive-one', [() => b.see('Open the room')]],
    [
      'room, led',
      '/teach/rooms/new/hold-one-drive-one',
      [press('Open the room'), () => b.see('are in'), press('Ask the first question')],
    ],
    ['room, its door', '/room', [() => b.see('Your instructor has')]],
    ['preview', '/teach/lessons/hold-one-drive-one/preview', []],
    ['ratio bench', '/teach/ratio', []],
    ['atlas', '/teach/faults/atlas', [() => b.see('Ask next')]],
    [
      'atlas, a fault',
      '/teach/faults/atlas',
      [press(/look alike: C1/), press('C1, Forward clutch: will not come on')],
    ],
    ['fault desk', '/teach/faults', [() => b.see('Set the controls')]],
    [
      'fault desk, a test',
      '/learn/faults?case=slipway-two-gears',
      [radio('Bonnet and lift'), press(/^Pan off/), () => b.see(/What do you expect/i)],
    ],
    [
      'case editor',
      '/teach/models/cases/lazy-on-the-ramp',
      [() => b.see('What the driver notices')],
    ],
    ['clutch bench', '/teach/clutch', [() => b.see('clamps')]],
    ['clutch bench, levers, wear', '/teach/clutch?clutch=hawser-twelve', [radio('Wear')]],
    ['clutch bench, drive off', '/teach/clutch', [radio('Drive off'), () => b.see('slips')]],
    ['clutch bench, drag test', '/teach/clutch', [radio('Shop tests'), radio('Drag test')]],
    ['clutch bench, adjusting', '/teach/clutch', [radio('Shop tests'), radio('Adjust')]],
    [
      'pack bench',
      '/teach/clutch/packs',
      [
        () => b.see('nearest to the middle'),
        press('end plate, 4.50 mm'),
        () => b.fill('spinbutton', 'Thickness', `999999${Key.TAB}`),
        () => b.see('the number before it is kept'),
      ],
    ],
    [
      'pack bench, upgrades',
      '/teach/clutch/packs',
      [radio('Upgrades'), () => b.see('nothing yet')],
    ],
    ['clutch editor', '/teach/models/clutches/bollard-nine', [() => b.see('Nothing wrong found')]],
    ['shift bench', '/teach/shift/quay-four', [() => b.see('D1 of the chart')]],
    [
      'shift bench, a shift',
      '/teach/shift/capstan-five',
      [radio('Shift over time'), () => b.see('smooth')],
    ],
    [
      'shift bench, pressure test',
      '/teach/shift/skerry-three',
      [radio('Pressures'), radio('Pressure test'), () => b.see('at most five seconds')],
    ],
    [
      'shift bench, schools',
      '/learn/shift/quay-four?plan=quay-lock-up',
      [
        radio('Shift over time'),
        radio('Two schools'),
        () => b.see('Firm is meant to spare the plates'),
      ],
    ],
    ['shift bench, map', '/learn/shift/lighter-six', [radio('Shift map'), () => b.see('Curves')]],
    ['pack editor', '/teach/models/clutchPacks/fender-pack', [() => b.see('Nothing wrong found')]],
    ['clutch bench in a lesson', '/teach/lessons/pedal-to-plate/preview', [press('Begin')]],
    [
      'draw the start',
      '/teach/lessons/listen-and-start/preview',
      [press('Begin'), press(/3 Start/), () => b.see('Drag the handles')],
    ],
    ['pack bench in a lesson', '/teach/lessons/plates-and-rings/preview', [press('Begin')]],
    [
      'builder, clutch question',
      '/teach/lessons/new-to-rivets',
      [press(/2 Half worn/), () => b.see('The model answers')],
    ],
    ['units', '/teach/models/units', [() => b.see('Ferry dual-clutch')]],
    [
      'apply bench',
      '/teach/apply/harbour-trainer',
      [() => b.see('Second overrun band'), () => b.see('F2')],
    ],
    ['apply bench, no such unit', '/teach/apply/no-such-unit', [() => b.see('There is no unit')]],
    ['apply bench, sleeves', '/teach/apply/winch-manual', [radio('Sleeves')]],
    ['apply bench, hand-over', '/teach/apply/ferry-dual', [radio('Hand-over')]],
    [
      'apply bench, a drive',
      '/teach/apply/ferry-dual',
      [radio('Hand-over'), radio('On the road'), radio('by hand')],
    ],
    ['apply bench, lever', '/teach/apply/capstan-five', [radio('Lever diagram'), radio('Why')]],
    ['apply bench, end view', '/teach/apply/lighter-six', [radio('P1 end'), radio('Power')]],
    [
      'apply bench, tooth search',
      '/teach/apply/skerry-three',
      [radio('What else'), press('Other teeth for it'), () => b.see('Fewest sun teeth')],
    ],
    [
      'strip-down bench',
      '/teach/strip-down/harbour-trainer',
      [press('Fluid'), press('Take it off'), press('C1 drum'), press('Take it off')],
    ],
    [
      'strip-down job, cut open',
      '/learn/strip-down/jobs/slip-tractor-second',
      [radio('Off and out'), radio('Section'), press('Pump')],
    ],
    ['strip-down job, before', '/learn/strip-down/jobs/slip-tractor-second', []],
    [
      'strip-down job, a part in the hand',
      '/learn/strip-down/jobs/one-pack-bench',
      [press('C1 plates'), press('Turn it over'), () => b.see('Pack clearance')],
    ],
    ['strip-down job, order', '/learn/strip-down/jobs/one-pack-bench', [radio('Order')]],
    [
      'strip-down job, together',
      '/learn/strip-down/jobs/one-pack-bench',
      [radio('Together'), press('Case'), press('Put it in'), press('Air check')],
    ],
    ['editor, job', '/teach/models/jobs/wherry-whole', [() => b.see('What was hidden')]],
    [
      'unit editor',
      '/teach/models/units/wherry-four',
      [() => b.see('Nothing wrong found'), press('Gear pair')],
    ],
    ['unit editor, elements', '/teach/models/units/quay-four', [radio('Elements')]],
    ['unit editor, members', '/teach/models/units/quay-four', [radio('Members')]],
    [
      'unit bench in a lesson',
      '/teach/lessons/who-holds/preview',
      [press('Begin'), () => b.see('holds by itself')],
    ],
    [
      'builder, unit question',
      '/teach/lessons/fill-the-chart',
      [press(/2 Fill the chart/), () => b.see('The model answers')],
    ],
    ['converter bench', '/teach/converter', [() => b.see('stator holds')]],
    ['converter bench, launch', '/teach/converter', [radio('Launch'), () => b.see('After 15 s')]],
    ['converter bench, match', '/learn/converter', [radio('Engine match')]],
    ['converter bench, blades and pull', '/teach/converter', [radio('Blades'), radio('Pull')]],
    [
      'converter bench, shift map',
      '/teach/converter',
      [radio('Launch'), () => b.see('After 15 s'), radio('Shift map')],
    ],
    [
      'converter bench, figures',
      '/teach/converter',
      [() => b.see('stator holds'), radio('Figures')],
    ],
    ['converter bench, stall test', '/teach/converter', [radio('Stall test')]],
    ['converters', '/teach/models/converters', [() => b.see('couples at')]],
    [
      'converter editor, table',
      '/teach/models/converters/slipway-table',
      [() => b.see('Nothing wrong found')],
    ],
    [
      'converter editor, blades',
      '/teach/models/converters/jetty-eleven',
      [() => b.see('Nothing wrong found')],
    ],
    ['engine editor', '/teach/models/engines/yard-diesel', [() => b.see('Nothing wrong found')]],
    ['vehicle editor', '/teach/models/vehicles/yard-tractor', [() => b.see('Nothing wrong found')]],
    [
      'converter in a lesson',
      '/teach/lessons/why-it-multiplies/preview',
      [press('Begin'), press(/4 Try it/)],
    ],
    [
      'order of a launch',
      '/teach/lessons/stator-and-launch/preview',
      [press('Begin'), press(/4 A launch/)],
    ],
    [
      'builder, symptom table',
      '/teach/lessons/good-gears-bad-gears',
      [() => b.see('B2, Low and reverse brake: will not come on')],
    ],
    [
      'builder, converter bench',
      '/teach/lessons/why-it-multiplies',
      [press('4 Try it freely'), () => b.see(/student may/i)],
    ],
    [
      'builder, own choice',
      '/teach/lessons/part-in-your-hand',
      [press(/2 Bin 3/), () => b.see('Your key:')],
    ],
    ['class book', '/teach/class-book', [() => b.see('How sure')]],
    [
      'class book, all lessons',
      '/teach/class-book',
      [
        () => chooseOption(browser(), 'Lesson', 'All lessons: one row a student'),
        () => b.see('Tova Relnik'),
      ],
    ],
    ['class book, one answer', '/teach/class-book', [press(/Osk Marrow, Hold the ring/)]],
    ['records', '/learn/records', []],
    ['keys', '/teach/ratio', [press('Keys')]],
    ['nothing here', '/teach/nowhere', []],
  ];
}
