import type { PictureFormat } from '../catalogue/index.ts'

/** Picture formats as they are spoken of. */
export const formatWords: Readonly<Record<PictureFormat, string>> = {
  hd60: 'HD at 60 frames',
  uhd30: 'UHD at 30 frames',
  uhd60: 'UHD at 60 frames',
  raw: 'raw',
}
