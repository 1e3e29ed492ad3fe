import { lookAtScreens } from './lookAt';
import { session } from './session';

/** The third quarter of all screens. */
lookAtScreens(session(), 2);
