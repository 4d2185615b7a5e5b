package giostra.server.host;

import static io.netty.handler.codec.http.HttpHeaderNames.ACCEPT_ENCODING;
import static io.netty.handler.codec.http.HttpHeaderNames.ACCEPT_RANGES;
import static io.netty.handler.codec.http.HttpHeaderNames.ALLOW;
import static io.netty.handler.codec.http.HttpHeaderNames.CACHE_CONTROL;
import static io.netty.handler.codec.http.HttpHeaderNames.CONNECTION;
import static io.netty.handler.codec.http.HttpHeaderNames.CONTENT_ENCODING;
import static io.netty.handler.codec.http.HttpHeaderNames.CONTENT_LENGTH;
import static io.netty.handler.codec.http.HttpHeaderNames.CONTENT_RANGE;
import static io.netty.handler.codec.http.HttpHeaderNames.CONTENT_SECURITY_POLICY;
import static io.netty.handler.codec.http.HttpHeaderNames.CONTENT_TYPE;
import static io.netty.handler.codec.http.HttpHeaderNames.DATE;
import static io.netty.handler.codec.http.HttpHeaderNames.ETAG;
import static io.netty.handler.codec.http.HttpHeaderNames.HOST;
import static io.netty.handler.codec.http.HttpHeaderNames.IF_NONE_MATCH;
import static io.netty.handler.codec.http.HttpHeaderNames.IF_RANGE;
import static io.netty.handler.codec.http.HttpHeaderNames.RANGE;
import static io.netty.handler.codec.http.HttpHeaderNames.RETRY_AFTER;
import static io.netty.handler.codec.http.HttpHeaderNames.VARY;

import giostra.server.web.Packed;
import io.netty.buffer.ByteBuf;
import io.netty.buffer.Unpooled;
import io.netty.channel.ChannelFutureListener;
import io.netty.channel.ChannelHandlerContext;
import io.netty.channel.ChannelInboundHandlerAdapter;
import io.netty.channel.ChannelOutboundBuffer;
import io.netty.channel.DefaultFileRegion;
import io.netty.handler.codec.http.DefaultFullHttpResponse;
import io.netty.handler.codec.http.DefaultHttpHeadersFactory;
import io.netty.handler.codec.http.DefaultHttpResponse;
import io.netty.handler.codec.http.HttpContent;
import io.netty.handler.codec.http.HttpHeaders;
import io.netty.handler.codec.http.HttpMethod;
import io.netty.handler.codec.http.HttpObject;
import io.netty.handler.codec.http.HttpRequest;
import io.netty.handler.codec.http.HttpResponse;
import io.netty.handler.codec.http.HttpResponseStatus;
import io.netty.handler.codec.http.HttpUtil;
import io.netty.handler.codec.http.HttpVersion;
import io.netty.handler.codec.http.LastHttpContent;
import io.netty.util.ReferenceCountUtil;
import io.netty.util.concurrent.Future;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One connection of a visitor's: requests one after the other. Source: RFC 9110 and 9112.
 *
 * <p>Everything here happens on the one thread of the connection, which never waits.
 */
final class LiveHandler extends ChannelInboundHandlerAdapter {
  /** From one answer to the end of the next head. */
  private static final int ASKS_SECONDS = 60;

  /** Twice in a row nothing of an answer is taken: whoever asked has gone. */
  private static final int TICK_SECONDS = 15;

  /** Parts of requests that come before others are answered. */
  private static final int MOST_WAIT = 16;

  private static final Pattern ONE_RANGE = Pattern.compile("bytes=([0-9]{0,18})-([0-9]{0,18})");
  private static final Logger LOG = LoggerFactory.getLogger(LiveHandler.class);
  private static final byte[] NOTHING = new byte[0];

  private final Supplier<LiveListener.@Nullable Behind> rest;
  private final ExecutorService reading;

  /** What came while another request was answered. */
  private final Deque<HttpObject> waiting = new ArrayDeque<>();

  private boolean answering;
  private @Nullable HttpRequest request;
  private @Nullable Future<?> ticking;

  /** When the last answer was through, or the connection opened. */
  private long since;

  /** What was left of an answer when it was last looked at; -1 for nothing. */
  private long stuck = -1;

  /** The host that was asked for last, and whether it is one of this server's. */
  private String host = "";

  private boolean isOurs;

  LiveHandler(Supplier<LiveListener.@Nullable Behind> rest, ExecutorService reading) {
    this.rest = rest;
    this.reading = reading;
  }

  @Override
  public void channelActive(ChannelHandlerContext context) {
    since = System.nanoTime();
    ticking =
        context
            .executor()
            .scheduleAtFixedRate(() -> tick(context), TICK_SECONDS, TICK_SECONDS, TimeUnit.SECONDS);
  }

  @Override
  public void channelInactive(ChannelHandlerContext context) {
    if (ticking != null) {
      ticking.cancel(false);
    }
    waiting.forEach(ReferenceCountUtil::release);
    waiting.clear();
  }

  /** Lets go whoever does not come to the end of a request, or takes nothing of an answer. */
  private void tick(ChannelHandlerContext context) {
    ChannelOutboundBuffer leaving = context.channel().unsafe().outboundBuffer();
    if (leaving == null || leaving.isEmpty()) {
      stuck = -1;
      if (!answering && System.nanoTime() - since > TimeUnit.SECONDS.toNanos(ASKS_SECONDS)) {
        context.close();
      }
      return;
    }
    // What is left of the first thing that waits, and of all.
    long left = Objects.hash(leaving.totalPendingWriteBytes(), leaving.currentProgress());
    if (left == stuck) {
      context.close();
    }
    stuck = left;
  }

  /** Takes the next request. */
  private void next(ChannelHandlerContext context) {
    answering = false;
    since = System.nanoTime();
    while (!answering) {
      HttpObject came = waiting.poll();
      if (came == null) {
        if (!context.channel().config().isAutoRead()) {
          context.channel().config().setAutoRead(true);
        }
        return;
      }
      take(context, came);
    }
  }

  @Override
  public void channelRead(ChannelHandlerContext context, Object message) {
    if (!(message instanceof HttpObject came)) {
      ReferenceCountUtil.release(message);
    } else if (answering) {
      waiting.add(came);
      if (waiting.size() == MOST_WAIT) {
        // No more than what one look at the net has brought.
        context.channel().config().setAutoRead(false);
      }
    } else {
      take(context, came);
    }
  }

  private void take(ChannelHandlerContext context, HttpObject came) {
    try {
      if (came instanceof HttpRequest head) {
        request = head;
        if (head.decoderResult().isFailure()) {
          refuse(context, head, HttpResponseStatus.BAD_REQUEST);
          return;
        }
        if (!isRead(head) && !head.method().equals(HttpMethod.OPTIONS)) {
          refuse(
              context,
              head,
              Ports.isPublished(head.uri())
                  ? HttpResponseStatus.METHOD_NOT_ALLOWED
                  : HttpResponseStatus.NOT_FOUND);
          return;
        }
      }
      HttpRequest asked = request;
      if (came instanceof HttpContent part && part.content().isReadable()) {
        // Nobody sends anything to a page.
        refuse(context, asked, HttpResponseStatus.REQUEST_ENTITY_TOO_LARGE);
      } else if (came instanceof LastHttpContent && asked != null) {
        request = null;
        answering = true;
        answer(context, asked);
      }
    } finally {
      ReferenceCountUtil.release(came);
    }
  }

  private void answer(ChannelHandlerContext context, HttpRequest asked) {
    LiveListener.Behind behind = rest.get();
    if (behind == null) {
      refuse(context, asked, HttpResponseStatus.SERVICE_UNAVAILABLE);
    } else if (!isRead(asked) || behind.prepared() == null || !isOurs(behind, asked)) {
      pass(context, asked, behind);
    } else {
      find(context, asked, behind, behind.prepared());
    }
  }

  private static boolean isRead(HttpRequest asked) {
    return asked.method().equals(HttpMethod.GET) || asked.method().equals(HttpMethod.HEAD);
  }

  private boolean isOurs(LiveListener.Behind behind, HttpRequest asked) {
    List<String> all = asked.headers().getAll(HOST);
    if (all.size() != 1) {
      return false;
    }
    if (!all.getFirst().equals(host)) {
      host = all.getFirst();
      isOurs = behind.isCalled().test(host.replaceFirst(":[0-9]{1,5}$", ""));
    }
    return isOurs;
  }

  private void find(
      ChannelHandlerContext context,
      HttpRequest asked,
      LiveListener.Behind behind,
      Prepared prepared) {
    String uri = asked.uri();
    int query = uri.indexOf('?');
    String path = query < 0 ? uri : uri.substring(0, query);
    Prepared.Answer waiting = prepared.waiting(path);
    if (waiting != null) {
      send(context, asked, waiting, behind);
      return;
    }
    try {
      reading.execute(() -> {
        Prepared.Answer read;
        try {
          read = prepared.read(path);
        } catch (RuntimeException | LinkageError e) {
          // The usual way says what is wrong.
          LOG.warn("{} is not prepared", path, e);
          read = null;
        }
        Prepared.@Nullable Answer found = read;
        context
            .executor()
            .execute(() -> {
              try {
                if (found == null) {
                  pass(context, asked, behind);
                } else {
                  send(context, asked, found, behind);
                }
              } catch (RuntimeException e) {
                exceptionCaught(context, e);
              }
            });
      });
    } catch (RejectedExecutionException e) {
      refuse(context, asked, HttpResponseStatus.SERVICE_UNAVAILABLE);
    }
  }

  private void send(
      ChannelHandlerContext context,
      HttpRequest asked,
      Prepared.Answer answer,
      LiveListener.Behind behind) {
    HttpHeaders headers = headers();
    headers.set(CACHE_CONTROL, answer.caching());
    headers.set(CONTENT_SECURITY_POLICY, answer.policy());
    headers.set("Referrer-Policy", "strict-origin-when-cross-origin");
    headers.set("X-Content-Type-Options", "nosniff");
    // Snippets show them on pages of others.
    headers.set("Cross-Origin-Resource-Policy", "cross-origin");
    String tag = answer.tag();
    String range = asked.headers().get(RANGE);
    boolean part = range != null && asked.headers().get(IF_RANGE, tag).equals(tag);
    Prepared.Body body = answer.body();
    ByteBuffer bytes = body == null ? null : body.plain();
    if (body != null && body.isPacked()) {
      headers.set(VARY, ACCEPT_ENCODING);
      String takes = part ? "" : asked.headers().get(ACCEPT_ENCODING, "");
      // Bytes that differ are known by different tags. Source: RFC 9110, 8.8.3.3.
      if (Packed.takes(takes, "br")) {
        headers.set(CONTENT_ENCODING, "br");
        bytes = body.brotli();
        tag = packed(tag, "br");
      } else if (Packed.takes(takes, "gzip")) {
        headers.set(CONTENT_ENCODING, "gzip");
        bytes = body.gzip();
        tag = packed(tag, "gz");
      }
    }
    headers.set(ETAG, tag);
    if (asked.headers().get(IF_NONE_MATCH, "").contains(tag)) {
      headers.remove(CONTENT_ENCODING);
      end(context, asked, full(HttpResponseStatus.NOT_MODIFIED, NOTHING, headers));
      return;
    }
    headers.set(CONTENT_TYPE, answer.type());
    if (!headers.contains(CONTENT_ENCODING)) {
      headers.set(ACCEPT_RANGES, "bytes");
    }
    if (part) {
      part(context, asked, answer, behind, range, headers);
    } else if (bytes == null) {
      file(context, asked, answer, 0, answer.bytes(), HttpResponseStatus.OK, headers);
    } else {
      whole(context, asked, bytes, headers);
    }
  }

  private static String packed(String tag, String how) {
    return tag.substring(0, tag.length() - 1) + "-" + how + "\"";
  }

  private void whole(
      ChannelHandlerContext context, HttpRequest asked, ByteBuffer bytes, HttpHeaders headers) {
    headers.set(CONTENT_LENGTH, bytes.remaining());
    ByteBuf body =
        asked.method().equals(HttpMethod.HEAD)
            ? Unpooled.EMPTY_BUFFER
            : Unpooled.wrappedBuffer(bytes.duplicate());
    end(context, asked, full(HttpResponseStatus.OK, body, headers));
  }

  /** A part of a file. Several at once go the usual way. Source: RFC 9110, 14. */
  private void part(
      ChannelHandlerContext context,
      HttpRequest asked,
      Prepared.Answer answer,
      LiveListener.Behind behind,
      String range,
      HttpHeaders headers) {
    Matcher one = ONE_RANGE.matcher(range);
    if (!one.matches()
        || one.group(1).isEmpty() && one.group(2).isEmpty()
        || asked.method().equals(HttpMethod.HEAD)) {
      pass(context, asked, behind);
      return;
    }
    long all = answer.bytes();
    long last = one.group(2).isEmpty() ? all - 1 : Long.parseLong(one.group(2));
    long first;
    if (one.group(1).isEmpty()) {
      first = Math.max(0, all - last);
      last = all - 1;
    } else {
      first = Long.parseLong(one.group(1));
    }
    last = Math.min(last, all - 1);
    if (first > last) {
      headers.set(CONTENT_RANGE, "bytes */" + all);
      headers.set(CONTENT_LENGTH, 0);
      HttpResponseStatus status = HttpResponseStatus.REQUESTED_RANGE_NOT_SATISFIABLE;
      end(context, asked, full(status, NOTHING, headers));
      return;
    }
    headers.set(CONTENT_RANGE, "bytes " + first + "-" + last + "/" + all);
    long length = last - first + 1;
    Prepared.Body body = answer.body();
    if (body == null) {
      file(context, asked, answer, first, length, HttpResponseStatus.PARTIAL_CONTENT, headers);
    } else {
      headers.set(CONTENT_LENGTH, length);
      ByteBuf bytes = Unpooled.wrappedBuffer(body.plain().slice((int) first, (int) length));
      end(context, asked, full(HttpResponseStatus.PARTIAL_CONTENT, bytes, headers));
    }
  }

  /** From the disk to the net, and not through here. */
  private void file(
      ChannelHandlerContext context,
      HttpRequest asked,
      Prepared.Answer answer,
      long first,
      long length,
      HttpResponseStatus status,
      HttpHeaders headers) {
    headers.set(CONTENT_LENGTH, length);
    var head = new DefaultHttpResponse(HttpVersion.HTTP_1_1, status, headers);
    if (asked.method().equals(HttpMethod.HEAD)) {
      context.write(close(asked, head));
      finish(context, asked, LastHttpContent.EMPTY_LAST_CONTENT);
      return;
    }
    FileChannel from;
    try {
      from = FileChannel.open(Objects.requireNonNull(answer.file()), StandardOpenOption.READ);
    } catch (IOException e) {
      refuse(context, asked, HttpResponseStatus.SERVICE_UNAVAILABLE);
      return;
    }
    context.write(close(asked, head));
    context.write(new DefaultFileRegion(from, first, length));
    finish(context, asked, LastHttpContent.EMPTY_LAST_CONTENT);
  }

  private void pass(ChannelHandlerContext context, HttpRequest asked, LiveListener.Behind behind) {
    new Passing(context, asked, behind.port().getAsInt())
        .start(
            kept -> {
              if (kept) {
                next(context);
              } else {
                context.close();
              }
            },
            () -> refuse(context, asked, HttpResponseStatus.SERVICE_UNAVAILABLE));
  }

  /** Says no, and goes: what comes after it was perhaps not meant as a request. */
  private void refuse(
      ChannelHandlerContext context, @Nullable HttpRequest asked, HttpResponseStatus status) {
    answering = true;
    HttpHeaders headers = headers();
    byte[] text = (status.code() + " " + status.reasonPhrase()).getBytes(StandardCharsets.US_ASCII);
    boolean head = asked != null && HttpMethod.HEAD.equals(asked.method());
    headers.set(CONTENT_TYPE, "text/plain;charset=utf-8");
    headers.set("X-Content-Type-Options", "nosniff");
    headers.set(CACHE_CONTROL, "no-store");
    headers.set(CONTENT_LENGTH, text.length);
    headers.set(CONNECTION, "close");
    if (status.equals(HttpResponseStatus.METHOD_NOT_ALLOWED)) {
      headers.set(ALLOW, "GET, HEAD, OPTIONS");
    } else if (status.equals(HttpResponseStatus.SERVICE_UNAVAILABLE)) {
      headers.set(RETRY_AFTER, 5);
    }
    context
        .writeAndFlush(full(status, head ? NOTHING : text, headers))
        .addListener(ChannelFutureListener.CLOSE);
  }

  private void end(ChannelHandlerContext context, HttpRequest asked, HttpResponse response) {
    finish(context, asked, close(asked, response));
  }

  private void finish(ChannelHandlerContext context, HttpRequest asked, Object last) {
    boolean kept = HttpUtil.isKeepAlive(asked);
    context
        .writeAndFlush(last)
        .addListener(written -> {
          if (kept && written.isSuccess()) {
            next(context);
          } else {
            context.close();
          }
        });
  }

  private static HttpResponse close(HttpRequest asked, HttpResponse response) {
    HttpUtil.setKeepAlive(response.headers(), asked.protocolVersion(), HttpUtil.isKeepAlive(asked));
    // What is sent is of this version, whatever was asked.
    if (!HttpUtil.isKeepAlive(asked)) {
      response.headers().set(CONNECTION, "close");
    }
    return response;
  }

  private static HttpResponse full(HttpResponseStatus status, byte[] bytes, HttpHeaders headers) {
    return full(status, Unpooled.wrappedBuffer(bytes), headers);
  }

  private static HttpResponse full(HttpResponseStatus status, ByteBuf bytes, HttpHeaders headers) {
    return new DefaultFullHttpResponse(
        HttpVersion.HTTP_1_1,
        status,
        bytes,
        headers,
        DefaultHttpHeadersFactory.trailersFactory().newHeaders());
  }

  private static HttpHeaders headers() {
    HttpHeaders headers = DefaultHttpHeadersFactory.headersFactory().newHeaders();
    headers.set(DATE, Now.text());
    return headers;
  }

  @Override
  public void exceptionCaught(ChannelHandlerContext context, Throwable cause) {
    // Whoever asked has gone, or speaks something else.
    context.close();
  }

  /** The time, as headers tell it; written once a second. Source: RFC 9110, 5.6.7. */
  private static final class Now {
    private static volatile Now last = new Now(0);

    private final long second;
    private final String text;

    private Now(long second) {
      this.second = second;
      this.text =
          DateTimeFormatter.RFC_1123_DATE_TIME.format(
              ZonedDateTime.ofInstant(Instant.ofEpochSecond(second), ZoneOffset.UTC));
    }

    static String text() {
      long second = System.currentTimeMillis() / 1000;
      Now now = last;
      if (now.second != second) {
        now = new Now(second);
        last = now;
      }
      return now.text;
    }
  }
}
