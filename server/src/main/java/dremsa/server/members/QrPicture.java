package dremsa.server.members;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;

/** A QR code as the outline that a page draws. */
record QrPicture(int size, String path) {
  /**
   * @return its size in modules with the quiet border, and its dark modules as an SVG path
   * @throws IllegalArgumentException when the text is too long for one
   */
  static QrPicture of(String text) {
    BitMatrix matrix;
    try {
      matrix = new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0);
    } catch (WriterException e) {
      throw new IllegalArgumentException("The text is too long for a code.", e);
    }
    StringBuilder path = new StringBuilder();
    for (int y = 0; y < matrix.getHeight(); y++) {
      for (int x = 0; x < matrix.getWidth(); x++) {
        int from = x;
        while (x < matrix.getWidth() && matrix.get(x, y)) {
          x++;
        }
        if (x > from) {
          path.append('M').append(from).append(' ').append(y);
          path.append('h').append(x - from).append("v1h-").append(x - from).append('z');
        }
      }
    }
    return new QrPicture(matrix.getWidth(), path.toString());
  }
}
