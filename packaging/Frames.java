import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.jar.JarEntry;
import java.util.jar.JarInputStream;
import java.util.jar.JarOutputStream;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;

/**
 * Gives the classes of a jar the stack maps that class files of Java 6 and newer have. An archive
 * of classes takes no older ones, and a Java reads and proves them anew at every start. Nothing
 * else in the jar is changed; made of the same jar it comes out the same.
 *
 * <pre>
 * java -cp asm.jar packaging/Frames.java JAR OUT
 * </pre>
 */
public final class Frames {

    /** Class files of Java 8. */
    private static final int VERSION = Opcodes.V1_8;

    private Frames() {}

    public static void main(String[] args) throws IOException {
        Path jar = Path.of(args[0]);
        try (URLClassLoader loader = new URLClassLoader(new URL[] {jar.toUri().toURL()});
                JarInputStream in = new JarInputStream(Files.newInputStream(jar), false);
                JarOutputStream out = new JarOutputStream(Files.newOutputStream(Path.of(args[1])))) {
            if (in.getManifest() != null) {
                ByteArrayOutputStream manifest = new ByteArrayOutputStream();
                in.getManifest().write(manifest);
                put(out, "META-INF/MANIFEST.MF", 0, manifest.toByteArray());
            }
            for (JarEntry e = in.getNextJarEntry(); e != null; e = in.getNextJarEntry()) {
                byte[] bytes = in.readAllBytes();
                boolean old = e.getName().endsWith(".class") && old(bytes);
                put(out, e.getName(), e.getTime(), old ? framed(bytes, loader) : bytes);
            }
        }
    }

    private static void put(JarOutputStream out, String name, long time, byte[] bytes)
            throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(time);
        // Not pressed together: it is read at every start.
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(bytes.length);
        CRC32 crc = new CRC32();
        crc.update(bytes);
        entry.setCrc(crc.getValue());
        out.putNextEntry(entry);
        out.write(bytes);
        out.closeEntry();
    }

    /** The bytes 6 and 7 of a class file are its version. */
    private static boolean old(byte[] bytes) {
        return ((bytes[6] & 0xff) << 8 | bytes[7] & 0xff) < Opcodes.V1_6;
    }

    private static byte[] framed(byte[] bytes, ClassLoader loader) throws IOException {
        ClassWriter writer =
                new ClassWriter(ClassWriter.COMPUTE_FRAMES) {
                    @Override
                    protected ClassLoader getClassLoader() {
                        return loader;
                    }
                };
        ClassVisitor newer =
                new ClassVisitor(Opcodes.ASM9, writer) {
                    @Override
                    public void visit(
                            int version,
                            int access,
                            String name,
                            String signature,
                            String superName,
                            String[] interfaces) {
                        super.visit(VERSION, access, name, signature, superName, interfaces);
                    }
                };
        try (InputStream in = new ByteArrayInputStream(bytes)) {
            new ClassReader(in).accept(newer, ClassReader.SKIP_FRAMES);
        }
        return writer.toByteArray();
    }
}
