<?php

declare(strict_types=1);

/*
 * A stand-in for a bucket that speaks S3, on PHP's own web server: what a shed asks of one, and no more. It lies in a
 * folder, and lets in whoever signs with its key (signature version 4 over the headers they name).
 *
 *     SHED_BUCKET=FOLDER SHED_BUCKET_KEY=KEY SHED_BUCKET_SECRET=SECRET php -S 127.0.0.1:PORT bin/lib/bucket.php
 */

function refuse(int $status, string $code): never
{
    http_response_code($status);
    header('Content-Type: application/xml');
    exit("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<Error><Code>$code</Code><Message>$code</Message></Error>");
}

function named(string $name): string
{
    $value = getenv($name);

    return is_string($value) && '' !== $value ? $value : throw new RuntimeException("$name is not set.");
}

/** As the protocol wants it: letters of the path as they came, arguments in their order. */
function isSigned(string $method, string $path, string $query): bool
{
    $said = $_SERVER['HTTP_AUTHORIZATION'] ?? '';
    if (!is_string($said) || 1 !== preg_match('#\AAWS4-HMAC-SHA256 Credential=([^/]+)/((\d{8})/([^/]+)/s3/aws4_request),\s*SignedHeaders=([^,]+),\s*Signature=([0-9a-f]{64})\z#', $said, $told)) {
        return false;
    }
    [, $key, $scope, $day, $region, $headers, $signature] = $told;
    $lines = '';
    foreach (explode(';', $headers) as $header) {
        $value = $_SERVER['HTTP_'.strtoupper(strtr($header, '-', '_'))] ?? $_SERVER[strtoupper(strtr($header, '-', '_'))] ?? '';
        $lines .= $header.':'.(is_string($value) ? preg_replace('/ +/', ' ', trim($value)) : '')."\n";
    }
    $arguments = '' === $query ? [] : explode('&', $query);
    sort($arguments);
    $arguments = array_map(static fn (string $one): string => str_contains($one, '=') ? $one : "$one=", $arguments);
    $content = $_SERVER['HTTP_X_AMZ_CONTENT_SHA256'] ?? '';
    $moment = $_SERVER['HTTP_X_AMZ_DATE'] ?? '';
    if (!is_string($content) || !is_string($moment)) {
        return false;
    }
    $request = implode("\n", [$method, $path, implode('&', $arguments), $lines, $headers, $content]);
    $text = "AWS4-HMAC-SHA256\n$moment\n$scope\n".hash('sha256', $request);
    $signs = 'AWS4'.named('SHED_BUCKET_SECRET');
    foreach ([$day, $region, 's3', 'aws4_request'] as $part) {
        $signs = hash_hmac('sha256', $part, $signs, true);
    }

    return $key === named('SHED_BUCKET_KEY') && hash_equals(hash_hmac('sha256', $text, $signs), $signature)
        && ('UNSIGNED-PAYLOAD' === $content || str_starts_with($content, 'STREAMING-') || $content === hash('sha256', (string) file_get_contents('php://input')));
}

/** @param list<string> $keys */
function listed(array $keys, string $prefix, string $delimiter): void
{
    $folders = $lines = [];
    foreach ($keys as $key) {
        $cut = '' === $delimiter ? false : strpos($key, $delimiter, strlen($prefix));
        if (false !== $cut) {
            $folders[substr($key, 0, $cut + 1)] = true;
            continue;
        }
        $lines[] = sprintf(
            '<Contents><Key>%s</Key><Size>%d</Size><LastModified>%s</LastModified><ETag>"%s"</ETag><StorageClass>STANDARD</StorageClass></Contents>',
            htmlspecialchars($key, \ENT_XML1),
            filesize(named('SHED_BUCKET').'/'.$key),
            gmdate('Y-m-d\TH:i:s.000\Z', (int) filemtime(named('SHED_BUCKET').'/'.$key)),
            md5_file(named('SHED_BUCKET').'/'.$key),
        );
    }
    foreach (array_keys($folders) as $folder) {
        $lines[] = '<CommonPrefixes><Prefix>'.htmlspecialchars((string) $folder, \ENT_XML1).'</Prefix></CommonPrefixes>';
    }
    header('Content-Type: application/xml');
    printf("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<ListBucketResult><Name>bucket</Name><Prefix>%s</Prefix><KeyCount>%d</KeyCount><MaxKeys>1000</MaxKeys><IsTruncated>false</IsTruncated>%s</ListBucketResult>", htmlspecialchars($prefix, \ENT_XML1), count($lines), implode('', $lines));
}

/** @return list<string> */
function keys(string $prefix): array
{
    $folder = named('SHED_BUCKET');
    $keys = [];
    /** @var SplFileInfo $file */
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        $key = substr($file->getPathname(), strlen($folder) + 1);
        if ($file->isFile() && str_starts_with($key, $prefix)) {
            $keys[] = $key;
        }
    }
    sort($keys);

    return $keys;
}

$uri = is_string($_SERVER['REQUEST_URI'] ?? null) ? $_SERVER['REQUEST_URI'] : '/';
$method = is_string($_SERVER['REQUEST_METHOD'] ?? null) ? $_SERVER['REQUEST_METHOD'] : 'GET';
[$path, $query] = explode('?', $uri, 2) + ['', ''];
if (!isSigned($method, $path, $query)) {
    refuse(403, 'SignatureDoesNotMatch');
}
[, , $key] = explode('/', rawurldecode($path), 3) + ['', '', ''];
if (1 === preg_match('#(\A|/)\.\.?(/|\z)|\0#', $key)) {
    refuse(400, 'InvalidArgument');
}
parse_str($query, $asked);
$file = named('SHED_BUCKET').'/'.$key;
$prefix = is_string($asked['prefix'] ?? null) ? $asked['prefix'] : '';
switch (true) {
    case '' === $key && 'GET' === $method:
        listed(keys($prefix), $prefix, is_string($asked['delimiter'] ?? null) ? $asked['delimiter'] : '');
        break;
    case '' === $key && 'POST' === $method && isset($asked['delete']):
        $names = simplexml_load_string((string) file_get_contents('php://input'));
        $keys = false === $names ? null : $names->xpath("//*[local-name()='Key']");
        foreach (is_array($keys) ? $keys : [] as $name) {
            @unlink(named('SHED_BUCKET').'/'.$name);
        }
        header('Content-Type: application/xml');
        echo '<?xml version="1.0" encoding="UTF-8"?><DeleteResult/>';
        break;
    case '' !== $key && 'PUT' === $method:
        $from = $_SERVER['HTTP_X_AMZ_COPY_SOURCE'] ?? null;
        $content = is_string($from) ? @file_get_contents(named('SHED_BUCKET').'/'.(explode('/', ltrim(rawurldecode($from), '/'), 2)[1] ?? '')) : file_get_contents('php://input');
        if (false === $content) {
            refuse(404, 'NoSuchKey');
        }
        @mkdir(dirname($file), 0o700, true);
        file_put_contents("$file.new", $content);
        rename("$file.new", $file);
        header('ETag: "'.md5($content).'"');
        if (is_string($from)) {
            header('Content-Type: application/xml');
            echo '<?xml version="1.0" encoding="UTF-8"?><CopyObjectResult><ETag>"', md5($content), '"</ETag></CopyObjectResult>';
        }
        break;
    case !is_file($file) && ('GET' === $method || 'HEAD' === $method):
        refuse(404, 'NoSuchKey');
        // no break: refusing ends it
    case 'GET' === $method || 'HEAD' === $method:
        header('Content-Type: application/octet-stream');
        header('Content-Length: '.filesize($file));
        header('Last-Modified: '.gmdate('D, d M Y H:i:s', (int) filemtime($file)).' GMT');
        header('ETag: "'.md5_file($file).'"');
        if ('GET' === $method) {
            readfile($file);
        }
        break;
    case 'DELETE' === $method:
        @unlink($file);
        http_response_code(204);
        break;
    default:
        refuse(501, 'NotImplemented');
}
