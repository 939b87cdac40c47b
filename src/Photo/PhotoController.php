<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OwnVoter;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\Core\Gate\GateWalk;
use League\Flysystem\FilesystemException;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class PhotoController extends AbstractController
{
    #[Route('/jobs/{job}/photos', name: 'photo_add', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function add(Job $job, Request $request, PhotoStore $store, GateWalk $walk, ButtonForm $button, JobWriter $writer, #[CurrentUser] Member $member): Response
    {
        if (0 === $request->request->count() && [] === $request->files->all()) {
            // PHP drops the whole form, token and all, when it is over post_max_size.
            throw UnusablePhoto::tooLarge();
        }
        $key = $button->check($request);
        $sent = $request->files->all()['photos'] ?? [];
        $files = array_filter(\is_array($sent) ? $sent : [$sent], static fn (mixed $file): bool => $file instanceof UploadedFile);
        foreach ($files as $file) {
            if (\in_array($file->getError(), [\UPLOAD_ERR_INI_SIZE, \UPLOAD_ERR_FORM_SIZE], true)) {
                throw UnusablePhoto::tooLarge();
            }
            if (!$file->isValid()) {
                throw UnusablePhoto::notAPicture();
            }
        }
        $gate = $button->text($request, 'gate');
        $place = MatPlace::parse($gate);
        $gate = null !== $place || $walk->has($gate) ? $gate : null;
        $writer->write($job, $member, $key, static function () use ($files, $store, $job, $member, $gate): null {
            $store->add($job, $member, array_values(array_map(static fn (UploadedFile $file): string => $file->getPathname(), $files)), $gate);

            return null;
        });
        $this->addFlash('said', [] === $files ? 'Choose a picture first.' : 'Saved.');

        if (null !== $place) {
            return $this->redirectToRoute('carburetor', ['job' => $job->getId(), 'bench' => $place->bench->value, 'place' => $place->number], Response::HTTP_SEE_OTHER);
        }

        return null === $gate
            ? $this->redirectToRoute('job', ['job' => $job->getId(), '_fragment' => 'photos'], Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute('gates', ['job' => $job->getId(), 'gate' => $gate, '_fragment' => 'gate-'.$gate], Response::HTTP_SEE_OTHER);
    }

    #[Route('/photos/{id}/remove', name: 'photo_remove', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'photo')]
    public function remove(#[MapEntity] Photo $photo, Request $request, ButtonForm $button, JobWriter $writer, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $writer->write($photo->getJob(), $member, $button->check($request), static function () use ($photo, $clock): null {
            null === $photo->getRemovedAt() ? $photo->remove($clock->now()) : $photo->bringBack();

            return null;
        });
        if (null !== $photo->getRemovedAt()) {
            $this->addFlash('photo_removed', (string) $photo->getId());
        }

        return $this->redirectToRoute('job', ['job' => $photo->getJob()->getId(), '_fragment' => 'photos'], Response::HTTP_SEE_OTHER);
    }

    #[Route('/photos/{id}/caption', name: 'photo_caption', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'photo')]
    public function caption(#[MapEntity] Photo $photo, Request $request, ButtonForm $button, JobWriter $writer, #[CurrentUser] Member $member): Response
    {
        $caption = $button->text($request, 'caption');
        $writer->write($photo->getJob(), $member, $button->check($request), static function () use ($photo, $caption): null {
            $photo->captioned($caption);

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job', ['job' => $photo->getJob()->getId(), '_fragment' => 'photos'], Response::HTTP_SEE_OTHER);
    }

    #[Route('/photos/{id}/{size}.jpg', name: 'photo', requirements: ['id' => Address::NUMBER], methods: ['GET'])]
    public function show(#[MapEntity] Photo $photo, PhotoSize $size, PhotoStore $store): Response
    {
        if (null !== $photo->getRemovedAt()) {
            throw $this->createNotFoundException('The picture was removed.');
        }
        try {
            $stream = $store->read($photo, $size);
        } catch (FilesystemException) {
            throw $this->createNotFoundException('The picture is gone from the store.');
        }

        return new StreamedResponse(static function () use ($stream): void {
            fpassthru($stream);
        }, headers: [
            'Content-Type' => 'image/jpeg',
            // A picture never changes, but it may be removed: it stays in this browser for the visit, and nowhere else.
            'Cache-Control' => 'private, max-age=600',
            'X-Keep-Cache-Control' => '1',
        ]);
    }
}
