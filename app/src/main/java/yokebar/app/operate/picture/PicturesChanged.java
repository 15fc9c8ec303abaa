package yokebar.app.operate.picture;

/** Received pictures, or what the folder holds, are different now. */
record PicturesChanged() {}
