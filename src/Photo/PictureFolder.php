<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use Aws\S3\S3Client;
use League\Flysystem\AwsS3V3\AwsS3V3Adapter;
use League\Flysystem\FilesystemAdapter;
use League\Flysystem\Local\LocalFilesystemAdapter;

/** Where pictures lie: in a folder, which several web servers may have in common, or in a bucket that speaks S3. */
final readonly class PictureFolder
{
    /**
     * @param string $place   a folder's path; or "s3://KEY:SECRET@HOST:PORT/BUCKET", "s3s://" over TLS, with "?region=" where the bucket has one
     * @param string $default the folder, where no place is named
     *
     * @throws \InvalidArgumentException when the place is neither
     * @throws \RuntimeException         when what speaks S3 was not fetched
     */
    public static function open(string $place, string $default): FilesystemAdapter
    {
        if (1 !== preg_match('#\As3s?://#', $place)) {
            return new LocalFilesystemAdapter('' === $place ? $default : $place);
        }
        $parts = parse_url($place);
        if (!\is_array($parts) || !isset($parts['host'], $parts['user'], $parts['pass'], $parts['scheme']) || '' === trim($parts['path'] ?? '', '/')) {
            throw new \InvalidArgumentException('SHED_PHOTOS is "s3://KEY:SECRET@HOST:PORT/BUCKET", key and secret percent-encoded.');
        }
        parse_str($parts['query'] ?? '', $more);
        $libraries = \dirname(__DIR__, 2).'/packages/s3/vendor/autoload.php';
        if (!is_file($libraries)) {
            throw new \RuntimeException('The libraries for S3 are not here; bin/start with SHED_PHOTOS set fetches them.');
        }
        require_once $libraries;

        return new AwsS3V3Adapter(new S3Client([
            'version' => '2006-03-01',
            'region' => \is_string($more['region'] ?? null) ? $more['region'] : 'us-east-1',
            'endpoint' => ('s3s' === $parts['scheme'] ? 'https://' : 'http://').$parts['host'].(isset($parts['port']) ? ':'.$parts['port'] : ''),
            // The bucket in the path: a name before the host would have to be one that resolves.
            'use_path_style_endpoint' => true,
            'credentials' => ['key' => rawurldecode($parts['user']), 'secret' => rawurldecode($parts['pass'])],
            // A picture that is not answered for is said so while somebody still waits.
            'http' => ['connect_timeout' => 3, 'timeout' => 20],
            'retries' => 2,
        ]), trim($parts['path'] ?? '', '/'));
    }
}
