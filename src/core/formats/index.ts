export { openBundle, parseBundle, readOpened, toBundle, type BundleFault, type OpenedBundle } from './bundle.ts';
export { namePhoto } from './photoName.ts';
export { readPictureHead, type PictureFault } from './picture.ts';
