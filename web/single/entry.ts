import { startInside } from './insideWorker';

/** One script is both: the page, and each of its workers, so that nothing stands in the page twice. */
if (typeof document === 'undefined') void startInside(self.name);
else void import('./page').then(({ showPage }) => showPage());
