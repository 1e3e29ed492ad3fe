import type { TFunction } from 'i18next';
import { formatNumber } from '../shared/numbers';
import { problemsText } from '../shared/problemsText';
import type { FileFailure } from '../../core/formats';

const MEGABYTE = 1024 * 1024;

const size = (bytes: number): string =>
  formatNumber(bytes / MEGABYTE, bytes < 10 * MEGABYTE ? 1 : 0);

/** What is wrong with a file, in words. Every cause has its own. */
export function failureText(t: TFunction, failure: FileFailure): string {
  switch (failure.cause) {
    case 'too-large':
    case 'pack-too-large':
      return t(`failures.${failure.cause}`, {
        size: size(failure.bytes),
        most: size(failure.most),
      });
    case 'too-deep':
      return t('failures.too-deep', { most: failure.most });
    case 'not-json':
      return failure.position === null
        ? t('failures.not-json')
        : t('failures.not-json-at', { position: failure.position });
    case 'forbidden-key':
      return t('failures.forbidden-key', { key: failure.key });
    case 'unknown-kind':
      return t('failures.unknown-kind', { format: failure.format });
    case 'wrong-kind':
      return t('failures.wrong-kind', {
        found: t(`documentKinds.${failure.format}`),
        wanted: t(`documentKinds.${failure.expected}`),
      });
    case 'too-new':
      return t('failures.too-new', { version: failure.version, newest: failure.newest });
    case 'invalid':
      return `${t('failures.invalid', { count: failure.problems.length })} ${problemsText(t, failure.problems)}`;
    case 'migration-failed':
      return t('failures.migration-failed', { step: failure.step });
    case 'pack-too-many':
      return t('failures.pack-too-many', { count: failure.count, most: failure.most });
    case 'pack-path':
      return failure.path === ''
        ? t('failures.pack-nameless')
        : t('failures.pack-path', { path: failure.path });
    case 'pack-changed':
    case 'pack-missing':
    case 'pack-picture':
      return t(`failures.${failure.cause}`, { path: failure.path });
    case 'pack-part':
      return t('failures.pack-part', { path: failure.path, why: failureText(t, failure.failure) });
    case 'empty':
    case 'truncated':
    case 'not-ours':
    case 'not-text':
    case 'no-version':
    case 'pack-damaged':
    case 'pack-encrypted':
      return t(`failures.${failure.cause}`);
  }
}
