import { Alert, Input } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { acceptPicture, MOST_NAME, MOST_PICTURE_BYTES } from '../../../core/formats';
import type { Block, PictureBlock } from '../../../core/lesson';
import { useServices } from '../../state/hooks';
import { reasonOf } from '../../shared/reasonOf';
import { FileButton } from '../../shared/FileButton';
import { PictureView } from '../PictureView';

const MEGABYTE = 1024 * 1024;

/** An instructor's own picture, with words for those who do not see it. */
export function PictureEditor({
  block,
  onBlock,
}: {
  block: PictureBlock;
  onBlock: (b: Block) => void;
}) {
  const { t } = useTranslation();
  const { documents } = useServices();
  const [problem, setProblem] = useState('');

  const choose = async (file: File) => {
    const most = MOST_PICTURE_BYTES / MEGABYTE;
    try {
      if (file.size > MOST_PICTURE_BYTES)
        return setProblem(t('picture.picture-too-large', { most }));
      const bytes = new Uint8Array(await file.arrayBuffer());
      const result = acceptPicture(bytes);
      if (!result.ok) return setProblem(t(`picture.${result.cause}`, { most }));
      await documents.saveMedia(result.path, bytes);
      setProblem('');
      onBlock({ ...block, media: result.path });
    } catch (error) {
      setProblem(t('storage.saveFailed', { reason: reasonOf(error) }));
    }
  };

  return (
    <>
      <PictureView block={block} />
      {problem && <Alert type="error" showIcon title={problem} />}
      <div className="row">
        <FileButton
          accept="image/png,image/jpeg,image/gif,image/webp"
          onFiles={([file]) => file && void choose(file)}
        >
          {t(block.media === '' ? 'picture.choose' : 'picture.change')}
        </FileButton>
      </div>
      <label className="field">
        <span className="label">{t('picture.alt')}</span>
        <Input
          maxLength={MOST_NAME}
          value={block.alt}
          status={block.media !== '' && block.alt === '' ? 'warning' : ''}
          onChange={(e) => onBlock({ ...block, alt: e.target.value })}
        />
      </label>
      {block.media !== '' && block.alt === '' && <p className="quiet">{t('picture.altNeeded')}</p>}
      <label className="field">
        <span className="label">{t('picture.caption')}</span>
        <Input
          maxLength={MOST_NAME}
          value={block.caption}
          onChange={(e) => onBlock({ ...block, caption: e.target.value })}
        />
      </label>
    </>
  );
}
