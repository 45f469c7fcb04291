<?php

namespace App\Http;

use App\Shows\Outdated;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Rhetorix\Core\Support\Refusal;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/** Every failure that a program or a page hears of is one sentence that says what to do. */
final class SaysItPlainly
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([Refusal::class]);
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        $exceptions->render(function (Throwable $failure, Request $request): ?JsonResponse {
            if (! $request->is('api/*') && ! $request->expectsJson()) {
                return null;
            }
            [$status, $sentence, $more] = self::of($failure);

            return $status === null ? null : response()->json(['message' => $sentence, ...$more], $status);
        });
    }

    /** @return array{?int, string, array<string, mixed>} */
    private static function of(Throwable $failure): array
    {
        $cause = $failure->getPrevious();

        return match (true) {
            $failure instanceof Outdated => [409, $failure->getMessage(), ['current' => $failure->current]],
            $failure instanceof Refusal => [422, $failure->getMessage(), []],
            $failure instanceof AuthenticationException => [401, 'Sign in first, or send a valid token.', []],
            $failure instanceof AuthorizationException, $failure instanceof AccessDeniedHttpException => [403, 'You do not have the right to do this in this show. Ask its lead.', []],
            $failure instanceof TokenMismatchException, $cause instanceof TokenMismatchException => [419, 'This page was open for too long. Load it again; nothing is lost.', []],
            $failure instanceof ModelNotFoundException, $cause instanceof ModelNotFoundException, $failure instanceof NotFoundHttpException => [404, 'There is nothing at this address, or you do not belong to this show.', []],
            $failure instanceof QueryException => [503, 'The store of the shows does not answer at the moment. The desk goes on; try again shortly.', []],
            $failure instanceof HttpException && $failure->getStatusCode() === 413 => [413, 'This file is too large.', []],
            default => [null, '', []],
        };
    }
}
