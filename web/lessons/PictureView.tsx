import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { PICTURE_TYPES, type PictureKind } from '../../core/formats';
import type { PictureBlock } from '../../core/lesson';
import { useServices } from '../state/hooks';
import './PictureView.css';

/** An instructor's picture, from this browser's storage. */
export function PictureView({ block }: { block: PictureBlock }) {
  const { t } = useTranslation();
  const { documents } = useServices();
  const [shown, setShown] = useState<{ media: string; url: string | null }>();
  const { media } = block;
  useEffect(() => {
    if (media === '') return;
    let url: string | null = null;
    let current = true;
    const kind = media.slice(media.lastIndexOf('.') + 1) as PictureKind;
    documents.readMedia(media).then(
      (bytes) => {
        if (!current) return;
        if (bytes)
          url = URL.createObjectURL(
            new Blob([new Uint8Array(bytes)], { type: PICTURE_TYPES[kind] }),
          );
        setShown({ media, url });
      },
      () => current && setShown({ media, url: null }),
    );
    return () => {
      current = false;
      if (url) URL.revokeObjectURL(url);
    };
  }, [documents, media]);
  if (media === '') return <p className="quiet">{t('picture.none')}</p>;
  return (
    <figure className="picture">
      {shown?.media === media &&
        (shown.url ? <img src={shown.url} alt={block.alt} /> : <p>{t('picture.missing')}</p>)}
      {block.caption && <figcaption>{block.caption}</figcaption>}
    </figure>
  );
}
