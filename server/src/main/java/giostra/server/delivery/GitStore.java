package giostra.server.delivery;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import org.eclipse.jgit.api.Git;
import org.eclipse.jgit.api.errors.GitAPIException;
import org.eclipse.jgit.api.errors.TransportException;
import org.eclipse.jgit.dircache.DirCache;
import org.eclipse.jgit.dircache.DirCacheBuilder;
import org.eclipse.jgit.dircache.DirCacheEntry;
import org.eclipse.jgit.lib.CommitBuilder;
import org.eclipse.jgit.lib.Constants;
import org.eclipse.jgit.lib.FileMode;
import org.eclipse.jgit.lib.ObjectId;
import org.eclipse.jgit.lib.ObjectInserter;
import org.eclipse.jgit.lib.ObjectReader;
import org.eclipse.jgit.lib.PersonIdent;
import org.eclipse.jgit.lib.Ref;
import org.eclipse.jgit.lib.Repository;
import org.eclipse.jgit.revwalk.RevCommit;
import org.eclipse.jgit.revwalk.RevWalk;
import org.eclipse.jgit.transport.CredentialsProvider;
import org.eclipse.jgit.transport.RefSpec;
import org.eclipse.jgit.transport.RemoteRefUpdate;
import org.eclipse.jgit.transport.UsernamePasswordCredentialsProvider;
import org.eclipse.jgit.treewalk.TreeWalk;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.util.FileSystemUtils;

/**
 * A branch of a Git repository: a release is one commit, so that nobody ever sees half of it. All
 * else that is on the branch stays.
 */
final class GitStore implements Store {
  private static final int PATIENCE_S = 30;

  private final String branch;
  private final @Nullable CredentialsProvider who;
  private final Path folder;
  private final Git git;
  private final Repository repository;
  private final ObjectInserter inserter;

  /** What the branch has, and what is to be on it: objects by their paths. */
  private final TreeMap<String, DirCacheEntry> entries = new TreeMap<>();

  private @Nullable RevCommit parent;
  private boolean changed;

  /**
   * @param address of the repository
   * @param account empty for none
   */
  GitStore(String address, String branch, String account, String secret) throws Trouble {
    this.branch = branch;
    this.who = account.isEmpty() ? null : new UsernamePasswordCredentialsProvider(account, secret);
    try {
      this.folder = Files.createTempDirectory("giostra-git");
      this.git = Git.init().setBare(true).setDirectory(folder.toFile()).call();
    } catch (IOException | GitAPIException e) {
      throw Trouble.passing("No room for a repository here.");
    }
    this.repository = git.getRepository();
    this.inserter = repository.newObjectInserter();
    try {
      // Nobody leads us anywhere else.
      repository.getConfig().setString("http", null, "followRedirects", "false");
      repository.getConfig().setString("remote", "there", "url", address);
      fetch();
    } catch (Trouble e) {
      close();
      throw e;
    }
  }

  private void fetch() throws Trouble {
    try {
      Ref there =
          git.lsRemote()
              .setRemote("there")
              .setHeads(true)
              .setTimeout(PATIENCE_S)
              .setCredentialsProvider(who)
              .callAsMap()
              .get(Constants.R_HEADS + branch);
      if (there == null) {
        // A branch that is not there yet comes to be with the first release.
        return;
      }
      git.fetch()
          .setRemote("there")
          .setDepth(1)
          .setTimeout(PATIENCE_S)
          .setCredentialsProvider(who)
          .setRefSpecs(new RefSpec("+" + Constants.R_HEADS + branch + ":refs/there"))
          .call();
      try (var walk = new RevWalk(repository);
          var tree = new TreeWalk(repository)) {
        RevCommit commit = walk.parseCommit(repository.resolve("refs/there"));
        parent = commit;
        tree.addTree(commit.getTree());
        tree.setRecursive(true);
        while (tree.next()) {
          var entry = new DirCacheEntry(tree.getPathString());
          entry.setFileMode(tree.getFileMode(0));
          entry.setObjectId(tree.getObjectId(0));
          entries.put(tree.getPathString(), entry);
        }
      }
    } catch (GitAPIException e) {
      throw failed(e);
    } catch (IOException e) {
      throw Trouble.passing("The repository cannot be read.");
    }
  }

  private static Trouble failed(GitAPIException e) {
    String why = String.valueOf(e.getMessage());
    boolean rights = why.contains("not authorized") || why.contains("not permitted");
    if (rights) {
      return Trouble.lasting("The repository does not let that account in.");
    }
    return e instanceof TransportException
        ? Trouble.passing("The repository cannot be reached, or broke off.")
        : Trouble.passing("The repository cannot be read.");
  }

  @Override
  public Optional<byte[]> read(String path) throws Trouble {
    DirCacheEntry entry = entries.get(path);
    if (entry == null) {
      return Optional.empty();
    }
    try (ObjectReader reader = repository.newObjectReader()) {
      return Optional.of(reader.open(entry.getObjectId()).getBytes());
    } catch (IOException e) {
      throw Trouble.passing("The repository cannot be read.");
    }
  }

  @Override
  public OptionalLong size(String path) throws Trouble {
    DirCacheEntry entry = entries.get(path);
    if (entry == null) {
      return OptionalLong.empty();
    }
    try (ObjectReader reader = inserter.newReader()) {
      return OptionalLong.of(reader.getObjectSize(entry.getObjectId(), Constants.OBJ_BLOB));
    } catch (IOException e) {
      throw Trouble.passing("The repository cannot be read.");
    }
  }

  @Override
  public void put(String path, Resource bytes, String type, boolean lasting) throws Trouble {
    try (InputStream in = bytes.getInputStream()) {
      ObjectId id = inserter.insert(Constants.OBJ_BLOB, bytes.contentLength(), in);
      DirCacheEntry before = entries.get(path);
      if (before == null || !before.getObjectId().equals(id)) {
        var entry = new DirCacheEntry(path);
        entry.setFileMode(FileMode.REGULAR_FILE);
        entry.setObjectId(id);
        entries.put(path, entry);
        changed = true;
      }
    } catch (IOException e) {
      throw Trouble.passing("No room for the files of the release here.");
    }
  }

  @Override
  public void remove(String path) {
    changed |= entries.remove(path) != null;
  }

  @Override
  public void finish(String message) throws Trouble {
    if (!changed) {
      return;
    }
    try {
      DirCache index = DirCache.newInCore();
      DirCacheBuilder builder = index.builder();
      entries.values().forEach(builder::add);
      builder.finish();
      var commit = new CommitBuilder();
      commit.setTreeId(index.writeTree(inserter));
      if (parent != null) {
        commit.setParentId(parent);
      }
      var by = new PersonIdent("Giostra", "giostra@localhost", Instant.now(), ZoneOffset.UTC);
      commit.setAuthor(by);
      commit.setCommitter(by);
      commit.setMessage(message + "\n");
      ObjectId id = inserter.insert(commit);
      inserter.flush();
      push(id);
    } catch (IOException e) {
      throw Trouble.passing("No room for the files of the release here.");
    }
  }

  private void push(ObjectId commit) throws Trouble, IOException {
    var update = repository.updateRef("refs/heads/giostra");
    update.setNewObjectId(commit);
    update.forceUpdate();
    try {
      for (var result :
          git.push()
              .setRemote("there")
              .setTimeout(PATIENCE_S)
              .setCredentialsProvider(who)
              .setRefSpecs(new RefSpec("refs/heads/giostra:" + Constants.R_HEADS + branch))
              .call()) {
        for (RemoteRefUpdate each : result.getRemoteUpdates()) {
          if (each.getStatus() != RemoteRefUpdate.Status.OK
              && each.getStatus() != RemoteRefUpdate.Status.UP_TO_DATE) {
            // Somebody was there first: tried again it stands on what they left.
            throw Trouble.passing("The repository did not take the commit: " + each.getStatus());
          }
        }
      }
    } catch (GitAPIException e) {
      throw failed(e);
    }
  }

  @Override
  public void close() {
    inserter.close();
    git.close();
    repository.close();
    try {
      FileSystemUtils.deleteRecursively(folder);
    } catch (IOException e) {
      // It lies among what the system throws away.
    }
  }
}
