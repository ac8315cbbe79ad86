package embrack.app.frame;

import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URL;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.Deflater;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.AbstractResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.web.servlet.resource.AbstractResourceResolver;
import org.springframework.web.servlet.resource.HttpResource;
import org.springframework.web.servlet.resource.ResourceResolverChain;

/** Packs texts once, as small as they get, and says of what is asked for below its number that it never changes. */
final class PackedFiles extends AbstractResourceResolver {

    private static final CacheControl FOR_EVER =
            CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable();

    private final String version;
    private final Map<String, byte[]> packed = new ConcurrentHashMap<>();
    private final Map<String, String> addresses = new ConcurrentHashMap<>();

    PackedFiles(String version) {
        this.version = version;
    }

    @Override
    @Nullable
    protected Resource resolveResourceInternal(
            @Nullable HttpServletRequest request,
            String requestPath,
            List<? extends Resource> locations,
            ResourceResolverChain chain) {
        Resource file = chain.resolveResource(request, requestPath, locations);
        if (file == null || request == null) {
            return file;
        }
        boolean isAsked =
                String.valueOf(request.getHeader(HttpHeaders.ACCEPT_ENCODING)).contains("gzip");
        boolean isText = requestPath.matches(".*\\.(css|js|svg|txt|webmanifest)");
        return new Sent(
                file,
                isAsked && isText
                        ? Optional.of(packed.computeIfAbsent(requestPath, path -> pack(file)))
                        : Optional.empty(),
                request.getRequestURI().contains("/" + version + "/"));
    }

    @Override
    @Nullable
    protected String resolveUrlPathInternal(
            String resourceUrlPath, List<? extends Resource> locations, ResourceResolverChain chain) {
        // Links to pages are asked about as well, some hundred on a page: these have no ending, and every file has.
        if (resourceUrlPath.lastIndexOf('.') <= resourceUrlPath.lastIndexOf('/')) {
            return null;
        }
        String known = addresses.get(resourceUrlPath);
        if (known != null) {
            return known;
        }
        String address = chain.resolveUrlPath(resourceUrlPath, locations);
        if (address != null) {
            addresses.put(resourceUrlPath, address);
        }
        return address;
    }

    private static byte[] pack(Resource file) {
        var bytes = new ByteArrayOutputStream();
        try (var out = new Smallest(bytes)) {
            out.write(file.getContentAsByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static final class Smallest extends GZIPOutputStream {
        Smallest(ByteArrayOutputStream bytes) throws IOException {
            super(bytes);
            def.setLevel(Deflater.BEST_COMPRESSION);
        }
    }

    /** A file with what is said of it when it is sent. */
    private static final class Sent extends AbstractResource implements HttpResource {

        private final Resource file;
        private final Optional<byte[]> packed;
        private final boolean staysAsItIs;

        Sent(Resource file, Optional<byte[]> packed, boolean staysAsItIs) {
            this.file = file;
            this.packed = packed;
            this.staysAsItIs = staysAsItIs;
        }

        @Override
        public HttpHeaders getResponseHeaders() {
            HttpHeaders headers = new HttpHeaders();
            headers.add(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
            packed.ifPresent(bytes -> headers.set(HttpHeaders.CONTENT_ENCODING, "gzip"));
            if (staysAsItIs) {
                headers.setCacheControl(FOR_EVER);
            }
            return headers;
        }

        @Override
        public InputStream getInputStream() throws IOException {
            return packed.isPresent() ? new ByteArrayInputStream(packed.get()) : file.getInputStream();
        }

        @Override
        public long contentLength() throws IOException {
            return packed.isPresent() ? packed.get().length : file.contentLength();
        }

        @Override
        public long lastModified() throws IOException {
            return file.lastModified();
        }

        @Override
        public URL getURL() throws IOException {
            return file.getURL();
        }

        @Override
        @Nullable
        public String getFilename() {
            return file.getFilename();
        }

        @Override
        public String getDescription() {
            return file.getDescription();
        }
    }
}
