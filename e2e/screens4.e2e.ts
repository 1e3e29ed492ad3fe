import { lookAtScreens } from './lookAt';
import { session } from './session';

/** The last quarter of all screens. */
lookAtScreens(session(), 3);
