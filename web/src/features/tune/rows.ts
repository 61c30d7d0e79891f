/** How high a row of marks is, and a row of tags. */
export const ROW_PX = 28
export const ROW_TAG_PX = 40
