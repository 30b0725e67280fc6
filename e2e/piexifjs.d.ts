/** What is used of it: writing where a photo was taken into a JPEG. */
declare module 'piexifjs' {
  const piexif: {
    dump(tags: { readonly GPS: Readonly<Record<number, unknown>> }): string;
    insert(exif: string, jpegUrl: string): string;
  };
  export default piexif;
}
