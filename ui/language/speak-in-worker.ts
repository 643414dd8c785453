import { speakBy } from '../../core/translate/translate.ts';
import { translatorOf } from '../../core/translate/translator.ts';

/**
 * The first import of a worker that makes sentences: it speaks the language that the worker is called by. It waits for
 * the catalogue, as only a worker may, for the texts of the modules that follow are read as they load.
 */
if (self.name !== '') {
  const request = new XMLHttpRequest();
  request.open('GET', `/languages/${self.name}.json`, false);
  request.send();
  if (request.status === 200)
    speakBy(translatorOf(JSON.parse(request.responseText) as Record<string, string>, self.name), self.name);
}
