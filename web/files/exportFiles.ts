import type { Model } from '../../core/formats';
import type { Attempt, Lesson } from '../../core/lesson';
import { mediaOf } from '../../core/lesson';
import type { DocumentStore } from '../storage/documentStore';
import { withFileWorker } from '../workers/fileWorker';
import { download, fileName } from '../shared/download';

/** A lesson with everything it needs, as one pack. */
export async function exportLesson(lesson: Lesson, documents: DocumentStore): Promise<void> {
  const media: Record<string, Uint8Array> = {};
  for (const path of mediaOf(lesson)) {
    const bytes = await documents.readMedia(path);
    if (bytes) media[path] = bytes;
  }
  const bytes = await withFileWorker((worker) => worker.packLesson({ lesson, media }));
  download(fileName(lesson.title, 'lesson.zip'), bytes, 'application/zip');
}

/** Works with no storage and no worker: what is on the screen, without its pictures. */
export function exportLessonText(lesson: Lesson): void {
  const text = `${JSON.stringify(lesson, null, 2)}\n`;
  download(fileName(lesson.title, 'lesson.json'), text, 'application/json');
}

export function exportAttempt(attempt: Attempt): void {
  const name = fileName(`${attempt.student} ${attempt.lesson.title}`, 'attempt.json');
  download(name, `${JSON.stringify(attempt, null, 2)}\n`, 'application/json');
}

export function exportModel(model: Model): void {
  const short = model.format.slice('fair-sprocket/'.length);
  const text = `${JSON.stringify(model, null, 2)}\n`;
  download(fileName(model.name, `${short}.json`), text, 'application/json');
}
