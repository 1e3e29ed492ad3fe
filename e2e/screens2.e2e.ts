import { lookAtScreens } from './lookAt';
import { session } from './session';

/** The second quarter of all screens. */
lookAtScreens(session(), 1);
