package pixeron.app;
public final class Main { private Main() {} public static void main(String[] a) { var o = new java.io.PrintWriter(new java.io.OutputStreamWriter(System.out, java.nio.charset.StandardCharsets.UTF_8)); var e = new java.io.PrintWriter(System.err); System.exit(pixeron.cli.Pixeron.run(o, e, a)); } }
