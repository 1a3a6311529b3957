import sharp from 'sharp'

/**
 * A drawn stand-in for a photo of the old pipe at the kiln room's north wall: brick, a painted pipe, a soldered tee.
 */
const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900">
  <defs>
    <pattern id="brick" width="160" height="96" patternUnits="userSpaceOnUse"><rect width="160" height="96" fill="#8d7f70"/><rect x="3" y="3" width="154" height="42" fill="#a5553f"/><rect x="-77" y="51" width="154" height="42" fill="#9a4d39"/><rect x="83" y="51" width="154" height="42" fill="#ad5f47"/></pattern>
    <linearGradient id="tube" x1="0" x2="0" y1="0" y2="1"><stop offset="0" stop-color="#7b6a58"/><stop offset="0.35" stop-color="#efe6d6"/><stop offset="1" stop-color="#6f5f4f"/></linearGradient>
    <linearGradient id="bare" x1="0" x2="0" y1="0" y2="1"><stop offset="0" stop-color="#6b3216"/><stop offset="0.35" stop-color="#e39a6a"/><stop offset="1" stop-color="#5c2a12"/></linearGradient>
  </defs>
  <rect width="1200" height="900" fill="url(#brick)"/><rect y="640" width="1200" height="260" fill="#55493d"/>
  <rect y="520" width="820" height="104" fill="url(#tube)"/><rect x="640" y="516" width="170" height="112" fill="url(#bare)"/><rect x="300" y="500" width="190" height="144" rx="10" fill="url(#bare)"/><rect x="345" y="180" width="100" height="330" fill="#d9cdb9"/>
  <ellipse cx="820" cy="572" rx="22" ry="52" fill="#b8744a"/><ellipse cx="822" cy="572" rx="15" ry="40" fill="#231a14"/>
</svg>`

/** The picture as a camera's file, in base64. */
export const demoPhoto = async (): Promise<string> =>
  (await sharp(Buffer.from(DRAWING)).jpeg({ quality: 80 }).toBuffer()).toString('base64')
