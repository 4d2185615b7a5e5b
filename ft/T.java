import java.nio.file.*; import org.apache.fontbox.ttf.*; import org.apache.pdfbox.io.*;
public class T { public static void main(String[] a) throws Exception {
 byte[] b=giostra.core.fit.FontFile.plain(Files.readAllBytes(Path.of(a[0])));
 Files.write(Path.of("x.ttf"), b);
 var f=new TTFParser().parse(new RandomAccessReadBuffer(b));
 System.out.println(f.getName()+" "+f.getTableMap().keySet());
 try (var d=new org.apache.pdfbox.pdmodel.PDDocument()) { var p=org.apache.pdfbox.pdmodel.font.PDType0Font.load(d, f, true); System.out.println(p.getStringWidth("Evenings")); }
}}
