package dremsa.server;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A camera: draws the outline of a code, and reads it. */
final class Qr {
  private static final Pattern BAR = Pattern.compile("M(\\d+) (\\d+)h(\\d+)v1h-\\d+z");
  private static final int SCALE = 6;

  private Qr() {}

  static String read(int size, String path) throws Exception {
    BufferedImage image = new BufferedImage(size * SCALE, size * SCALE, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, size * SCALE, size * SCALE);
    g.setColor(Color.BLACK);
    Matcher bar = BAR.matcher(path);
    while (bar.find()) {
      g.fillRect(
          Integer.parseInt(bar.group(1)) * SCALE,
          Integer.parseInt(bar.group(2)) * SCALE,
          Integer.parseInt(bar.group(3)) * SCALE,
          SCALE);
    }
    return new QRCodeReader()
        .decode(
            new BinaryBitmap(new GlobalHistogramBinarizer(new BufferedImageLuminanceSource(image))))
        .getText();
  }
}
