import { type ShopFile, shopFileSchema } from '@whelk/core/job';

let read: Promise<ShopFile> | undefined;

/** The demo shop as it ships with the application: read when it is first wanted. */
export function demoFile(): Promise<ShopFile> {
  read ??= import('../../../../demo/shop.json?raw').then(({ default: text }) => shopFileSchema.parse(JSON.parse(text)));
  return read;
}
